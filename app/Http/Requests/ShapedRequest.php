<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Shapes\Shape;
use Illuminate\Foundation\Http\FormRequest;

/** A request whose shape is said once, for its rules and for the contract. */
abstract class ShapedRequest extends FormRequest
{
    abstract public static function shape(): Shape;

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
