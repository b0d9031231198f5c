<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Shapes\Shape;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Symfony\Component\Finder\Finder;

/** A request whose shape is said once, for its rules and for the contract. */
abstract class ShapedRequest extends FormRequest
{
    abstract public static function shape(): Shape;

    /**
     * What every request takes in.
     *
     * @return array<string, Shape> by name
     */
    final public static function shapes(): array
    {
        $shapes = [];
        foreach ((new Finder)->files()->in(__DIR__)->name('*Request.php') as $file) {
            $request = __NAMESPACE__.'\\'.strtr($file->getRelativePathname(), ['/' => '\\', '.php' => '']);
            if (is_subclass_of($request, self::class) && ! (new \ReflectionClass($request))->isAbstract()) {
                $shape = $request::shape();
                $shapes[$shape->name] = $shape;
            }
        }

        return $shapes;
    }

    /** What an address leaves empty is not asked for. */
    final protected function prepareForValidation(): void
    {
        if ($this->isMethod('GET')) {
            $this->query->replace(array_filter($this->query->all(), fn (mixed $value) => $value !== ''));
        }
        $tooLong = static::shape()->tooLong('', $this->all());
        if ($tooLong !== null) {
            [$at, $most] = $tooLong;
            throw ValidationException::withMessages([$at => "At most $most entries fit here. Take some out."]);
        }
    }

    /** @return array<string, list<mixed>> */
    final public function rules(): array
    {
        $rules = static::shape()->rules(given: $this->all());
        foreach ($this->furtherRules() as $at => $further) {
            $rules[$at] = [...$rules[$at] ?? [], ...$further];
        }

        return $rules;
    }

    /**
     * What depends on who asks or on what else was sent.
     *
     * @return array<string, list<mixed>>
     */
    protected function furtherRules(): array
    {
        return [];
    }
}
