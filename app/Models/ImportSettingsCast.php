<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Interchange\ColumnFacts;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\OnExisting;
use Almanac\Money\DecimalSign;
use Almanac\Records\PartyKind;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;

/**
 * How a file is read, as it is kept: encrypted, since what stands in its columns is among it.
 *
 * @implements CastsAttributes<ImportSettings, ImportSettings>
 */
final class ImportSettingsCast implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ImportSettings
    {
        /** @var array{
         *     format?: string, sheets?: list<string>, sheet?: string, hasHeadings?: bool, columns?: list<array<string,
         * mixed>>, targets?: list<string>,
         *     isMonthFirst?: bool, sign?: string, existing?: string, takesNewWords?: bool, kind?: string|null, roles?: list<string>,
         *     meant?: array<string, list<int>>,
         * } $kept
         */
        $kept = is_string($value) && $value !== '{}' ? json_decode(Crypt::decryptString($value), true, flags: JSON_THROW_ON_ERROR) : [];

        return new ImportSettings(
            FileKind::from($kept['format'] ?? FileKind::Csv->value),
            $kept['sheets'] ?? [],
            $kept['sheet'] ?? '',
            $kept['hasHeadings'] ?? true,
            array_map(ColumnFacts::kept(...), $kept['columns'] ?? []),
            $kept['targets'] ?? [],
            $kept['isMonthFirst'] ?? false,
            DecimalSign::from($kept['sign'] ?? DecimalSign::Point->value),
            OnExisting::from($kept['existing'] ?? OnExisting::Fill->value),
            $kept['takesNewWords'] ?? false,
            PartyKind::tryFrom($kept['kind'] ?? ''),
            $kept['roles'] ?? [],
            $kept['meant'] ?? [],
        );
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return Crypt::encryptString(json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
