<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\PartyKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A named group of the firm's own fields.
 *
 * @property int $id
 * @property string $name
 * @property PartyKind|null $party_kind null for people and companies alike
 * @property int|null $type_id only for records of that type
 * @property int|null $engagement_kind_id only for cases or projects of that kind
 * @property int $rank
 * @property bool $is_retired
 * @property-read Collection<int, DetailField> $fields
 * @property-read ListItem|null $type
 */
final class DetailSheet extends Model
{
    protected $table = 'detail_sheets';

    protected $attributes = ['party_kind' => null, 'type_id' => null, 'engagement_kind_id' => null, 'is_retired' => false];

    protected function casts(): array
    {
        return ['party_kind' => PartyKind::class, 'is_retired' => 'boolean'];
    }

    /** @param  list<int>  $typeIds those of the record */
    public function appliesTo(PartyKind $kind, array $typeIds): bool
    {
        return ! $this->is_retired
            && $this->engagement_kind_id === null
            && ($this->party_kind === null || $this->party_kind === $kind)
            && ($this->type_id === null || in_array($this->type_id, $typeIds, true));
    }

    public function appliesToKind(int $engagementKindId): bool
    {
        return ! $this->is_retired && $this->engagement_kind_id === $engagementKindId;
    }

    /** @return HasMany<DetailField, $this> */
    public function fields(): HasMany
    {
        return $this->hasMany(DetailField::class, 'sheet_id')->orderBy('rank')->orderBy('id');
    }

    /** @return BelongsTo<ListItem, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(ListItem::class, 'type_id');
    }
}
