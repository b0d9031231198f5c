<?php

declare(strict_types=1);

namespace App\Models\Values;

use Almanac\Calendar\Day;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/** @implements CastsAttributes<Day, Day|null> */
final class DayCast implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Day
    {
        return is_string($value) ? Day::fromIso($value) : null;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Day ? $value->toIso() : null;
    }
}
