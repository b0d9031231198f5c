<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Crypt;

/**
 * What a record holds in a field of a detail sheet; a secret is encrypted.
 *
 * @property int $id
 * @property int $subject_id
 * @property int $field_id
 * @property string $value as the core keeps it; see text()
 * @property int|float|string|null $sort as Value::toSort() gives it
 * @property-read DetailField $field
 */
final class DetailValue extends Model
{
    protected $table = 'detail_values';

    /** @return BelongsTo<DetailField, $this> */
    public function field(): BelongsTo
    {
        return $this->belongsTo(DetailField::class);
    }

    /** @return array{value: string, sort: int|float|string|null} what is kept of a text, and what it is sorted by: nothing of a secret */
    public static function kept(DetailField $field, string $text): array
    {
        return $field->isSecret()
            ? ['value' => Crypt::encryptString($text), 'sort' => null]
            : ['value' => $text, 'sort' => $field->kind->value($text)->toSort()];
    }

    public function text(DetailField $field): string
    {
        return $field->isSecret() ? Crypt::decryptString($this->value) : $this->value;
    }
}
