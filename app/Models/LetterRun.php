<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Mailing\LettersState;
use Almanac\Mailing\LetterWay;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One letter that is written to many.
 *
 * @property int $id
 * @property int $user_id who signs it
 * @property int|null $engagement_id the case or project that it speaks of
 * @property string $subject with its fields, as is
 * @property string $body
 * @property LetterWay $way
 * @property bool $is_once_a_household
 * @property Day $dated_on
 * @property LettersState $state
 * @property string $failure why it came to nothing
 * @property string|null $path of the file, on the disk of files
 * @property Carbon|null $ended_at
 * @property Carbon|null $created_at
 * @property-read User $user
 * @property-read Engagement|null $engagement
 */
final class LetterRun extends Model
{
    protected $table = 'letter_runs';

    protected $attributes = ['failure' => '', 'path' => null];

    protected function casts(): array
    {
        return [
            'way' => LetterWay::class, 'state' => LettersState::class, 'is_once_a_household' => 'boolean', 'dated_on' => DayCast::class,
            'ended_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Engagement, $this> */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
    }

    /** @return HasMany<Letter, $this> in the order in which they were chosen */
    public function letters(): HasMany
    {
        return $this->hasMany(Letter::class)->orderBy('rank');
    }

    /** Whether somebody may look into it: their own, or an administrator; of a private case or project only whom that names. */
    public function isReadableBy(User $user): bool
    {
        return $user->maySteer($this) && ($this->engagement_id === null || $this->engagement()->exists());
    }
}
