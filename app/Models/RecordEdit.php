<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody has a section of a record open for changing. Their page says so again and again; who has said nothing for a
 * while has left without a word.
 *
 * @property int $party_id
 * @property int $user_id
 * @property Carbon $at
 * @property-read User $user
 */
final class RecordEdit extends Model
{
    protected $table = 'record_edits';

    /** Seconds; the page says it three times as often. */
    public const LASTS = 90;

    public $timestamps = false;

    public $incrementing = false;

    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }

    /** @return Builder<self> those of which somebody has said so lately */
    public static function now(): Builder
    {
        return self::query()->where('at', '>', now()->subSeconds(self::LASTS));
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
