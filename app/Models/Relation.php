<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Names\TogetherAs;
use Almanac\Records\Period;
use Almanac\Relations\RelationKind;
use Almanac\Relations\RelationName;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What one party is to another. Kept once and told from either end.
 *
 * @property int $id
 * @property int $from_id
 * @property int $to_id
 * @property string $kind what the second party is to the first; empty for a kind of the office's own
 * @property int|null $list_item_id the office's own kind
 * @property TogetherAs $together of spouses: how they are written to
 * @property \Almanac\Calendar\Day|null $since
 * @property \Almanac\Calendar\Day|null $until
 * @property-read Party $from
 * @property-read Party $to
 * @property-read ListItem|null $ownKind
 */
final class Relation extends Model
{
    protected $table = 'relations';

    protected $attributes = ['together' => TogetherAs::Alone->value];

    protected function casts(): array
    {
        return ['together' => TogetherAs::class, 'since' => DayCast::class, 'until' => DayCast::class];
    }

    /**
     * Those that a party has, from either end: the ones that have not ended first.
     *
     * @return Builder<self>
     */
    public static function of(Party $party): Builder
    {
        return self::ofAny([$party->id]);
    }

    /**
     * @param list<int> $partyIds
     *
     * @return Builder<self>
     */
    public static function ofAny(array $partyIds): Builder
    {
        return self::query()->with('ownKind')
            ->where(fn (Builder $relations) => $relations->whereIntegerInRaw('from_id', $partyIds)->orWhereIntegerInRaw('to_id', $partyIds))
            ->orderByRaw('until is not null')->orderBy('id');
    }

    public function period(): Period
    {
        return Period::of($this->since, $this->until);
    }

    public function otherIdThan(Party $party): int
    {
        return $this->from_id === $party->id ? $this->to_id : $this->from_id;
    }

    public function otherThan(Party $party): Party
    {
        return $this->from_id === $party->id ? $this->to : $this->from;
    }

    /** What the other is to this party. */
    public function seenFrom(Party $party): RelationName
    {
        $tie = $this->ownKind === null
            ? RelationName::of(RelationKind::from($this->kind))
            : RelationName::own($this->ownKind->name, $this->ownKind->inverse);

        return $this->from_id === $party->id ? $tie : $tie->inverse();
    }

    /** @return BelongsTo<ListItem, $this> */
    public function ownKind(): BelongsTo
    {
        return $this->belongsTo(ListItem::class, 'list_item_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'from_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'to_id');
    }
}
