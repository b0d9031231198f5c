<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\PairState;
use Almanac\LookAlikes\Reason;
use Almanac\LookAlikes\Sign;
use Almanac\LookAlikes\Verdict;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Two records that look alike, and what has become of it.
 *
 * @property int $id
 * @property int $first_id the older one
 * @property int $second_id
 * @property Verdict $verdict
 * @property float $score bits
 * @property list<array{string, float}> $signs with their weights in bits
 * @property int $reasons a bit for each
 * @property PairState $state
 * @property int|null $group_id the least of the pairs that are settled together
 * @property int|null $added_by_id who added the second all the same
 * @property int|null $decided_by_id
 * @property Carbon|null $decided_at
 * @property string $why
 * @property-read Party $first
 * @property-read Party $second
 * @property-read User|null $addedBy
 * @property-read User|null $decidedBy
 */
final class LookAlikePair extends Model
{
    protected $table = 'look_alike_pairs';

    /** Those that wait to be settled, as their index is written. */
    public const TO_SETTLE = "state IN ('open', 'later')";

    protected function casts(): array
    {
        return ['verdict' => Verdict::class, 'signs' => 'array', 'state' => PairState::class, 'decided_at' => 'datetime'];
    }

    /** @return Builder<self> those that wait to be settled */
    public static function toSettle(): Builder
    {
        return self::query()->whereRaw(self::TO_SETTLE);
    }

    /**
     * @param Builder<self> $query
     * @param list<int> $partyIds
     */
    public function scopeOfAny(Builder $query, array $partyIds): void
    {
        $query->where(fn (Builder $pairs) => $pairs->whereIntegerInRaw('first_id', $partyIds)->orWhereIntegerInRaw('second_id', $partyIds));
    }

    public function otherIdThan(Party $party): int
    {
        return $this->first_id === $party->id ? $this->second_id : $this->first_id;
    }

    /** @return array{verdict: string, score: float, signs: string, reasons: int} the columns in which a comparison is kept */
    public static function columnsOf(Comparison $comparison): array
    {
        return [
            'verdict' => $comparison->verdict->value,
            'score' => round($comparison->score, 1),
            'signs' => json_encode(
                array_map(fn (array $one) => [$one[0]->value, round($one[1], 1)], $comparison->signs),
                JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
            ),
            'reasons' => Reason::bits(array_map(fn (array $one) => $one[0], $comparison->signs)),
        ];
    }

    /** @return list<array{Sign, float}> what it rests on, the weightiest first */
    public function evidence(): array
    {
        $signs = array_map(fn (array $one) => [Sign::from($one[0]), (float) $one[1]], $this->signs);
        usort($signs, fn (array $a, array $b) => abs($b[1]) <=> abs($a[1]));

        return $signs;
    }

    /** @return BelongsTo<Party, $this> */
    public function first(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'first_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function second(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'second_id');
    }

    /** @return BelongsTo<User, $this> */
    public function addedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'added_by_id');
    }

    /** @return BelongsTo<User, $this> */
    public function decidedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by_id');
    }
}
