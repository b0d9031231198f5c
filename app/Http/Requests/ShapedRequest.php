<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Shapes\Shape;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\ValidatedInput;
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

    /**
     * In an address everything is text: what is a number by its shape is one from here on.
     *
     * @param string|null $key
     * @param mixed $default
     */
    final public function validated($key = null, $default = null): mixed
    {
        /** @var array<string, mixed> $all */
        $all = parent::validated();
        foreach ($this->isMethod('GET') ? static::shape()->inputs : [] as $name => $input) {
            if ($input->isNumber() && is_string($all[$name] ?? null)) {
                $all[$name] = (int) $all[$name];
            }
        }

        return $key === null ? $all : data_get($all, $key, $default);
    }

    /**
     * The same as validated(), to take some of.
     *
     * @param list<string>|null $keys
     *
     * @return ($keys is null ? ValidatedInput : array<string, mixed>)
     */
    final public function safe(?array $keys = null): ValidatedInput|array
    {
        /** @var array<string, mixed> $all */
        $all = $this->validated();
        $input = new ValidatedInput($all);

        return $keys === null ? $input : $input->only($keys);
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
