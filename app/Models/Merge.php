<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Merging\Decisions;
use Almanac\Merging\MergeState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * Records that were made one, or that somebody proposes to make one.
 *
 * @property int $id
 * @property MergeState $state
 * @property int $kept_id the record that stays
 * @property int $kept_number
 * @property string $kept_name as it was called before
 * @property array<string, mixed> $decisions
 * @property string $why
 * @property int|null $proposed_by_id
 * @property Carbon|null $proposed_at
 * @property int|null $user_id who has done it
 * @property Carbon|null $done_at
 * @property int|null $apart_by_id
 * @property Carbon|null $apart_at
 * @property list<array{int, string, string}> $struck of which record, what it was, and what it said
 * @property array<string, int> $versions
 * @property array<string, int> $marks
 * @property int|null $cause_id
 * @property-read Collection<int, MergeSide> $sides
 * @property-read Collection<int, MergeRow> $rows
 * @property-read Collection<int, MergeMove> $moves
 * @property-read Collection<int, MergedSection> $sections
 * @property-read User|null $user
 * @property-read User|null $proposedBy
 * @property-read User|null $apartBy
 */
final class Merge extends Model
{
    protected $table = 'merges';

    protected $attributes = [
        'why' => '', 'struck' => '[]', 'versions' => '{}', 'marks' => '{}',
        'user_id' => null, 'proposed_by_id' => null, 'apart_by_id' => null, 'cause_id' => null,
        'proposed_at' => null, 'done_at' => null, 'apart_at' => null,
    ];

    protected function casts(): array
    {
        return [
            'state' => MergeState::class, 'decisions' => 'array', 'struck' => 'array', 'versions' => 'array', 'marks' => 'array',
            'proposed_at' => 'datetime', 'done_at' => 'datetime', 'apart_at' => 'datetime',
        ];
    }

    /**
     * @param array<int> $partyIds
     *
     * @return Builder<self> what somebody proposes of any of them
     */
    public static function proposedOfAny(array $partyIds): Builder
    {
        return self::query()->where('state', MergeState::Proposed)
            ->whereHas('sides', fn (Builder $sides) => $sides->whereIn('party_id', $partyIds));
    }

    public function decided(): Decisions
    {
        return Decisions::fromArray($this->decisions);
    }

    /** @return list<int> the records that became the one that stays */
    public function goneIds(): array
    {
        return array_values($this->sides->pluck('party_id')->filter(fn (int $id) => $id !== $this->kept_id)->all());
    }

    /** The others, in words: "no. 1040 Bob Larkin and no. 1044 R. Larkin". */
    public function others(): string
    {
        return implode(' and ', $this->sides->filter(fn (MergeSide $side) => $side->party_id !== $this->kept_id)
            ->map(fn (MergeSide $side) => $side->called())->all());
    }

    /** @return HasMany<MergeSide, $this> in the order of their numbers */
    public function sides(): HasMany
    {
        return $this->hasMany(MergeSide::class)->orderBy('number');
    }

    /** @return HasMany<MergedSection, $this> what each of them said before */
    public function sections(): HasMany
    {
        return $this->hasMany(MergedSection::class)->orderBy('id');
    }

    /** @return HasMany<MergeRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(MergeRow::class)->orderBy('id');
    }

    /** @return HasMany<MergeMove, $this> */
    public function moves(): HasMany
    {
        return $this->hasMany(MergeMove::class)->orderBy('id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function proposedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'proposed_by_id');
    }

    /** @return BelongsTo<User, $this> */
    public function apartBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'apart_by_id');
    }
}
