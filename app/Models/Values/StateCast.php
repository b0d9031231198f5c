<?php

declare(strict_types=1);

namespace App\Models\Values;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;

/**
 * The state of a section as JSON, encrypted where it is private: `is_private` is set before it.
 *
 * @implements CastsAttributes<array<string, mixed>, array<string, mixed>>
 */
final class StateCast implements CastsAttributes
{
    /** @return array<string, mixed> */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $kept = is_string($value) ? $value : '{}';

        /** @var array<string, mixed> */
        return json_decode((bool) $attributes['is_private'] ? Crypt::decryptString($kept) : $kept, true, flags: JSON_THROW_ON_ERROR);
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        $json = json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return (bool) $attributes['is_private'] ? Crypt::encryptString($json) : $json;
    }
}
