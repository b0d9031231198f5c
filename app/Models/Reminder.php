<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Calendar\Recurrence;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something to do at a time, for a record.
 *
 * @property int $id
 * @property int $subject_id
 * @property int $user_id for whom
 * @property int $by_id who set it
 * @property int|null $file_id the file that expires
 * @property string $text
 * @property Day $first_on which a repeating one is reckoned from
 * @property Day $due_on
 * @property string $time by the office's clock, as in 09:30
 * @property string $rule of RFC 5545; empty for once
 * @property \Illuminate\Support\Carbon|null $done_at
 * @property-read User $user
 * @property-read User $by
 * @property-read Party|null $party
 * @property-read Engagement|null $engagement
 */
final class Reminder extends Model
{
    use OfReadableSubject;

    protected $table = 'reminders';

    protected $attributes = ['file_id' => null, 'rule' => '', 'done_at' => null];

    protected function casts(): array
    {
        return ['first_on' => DayCast::class, 'due_on' => DayCast::class, 'done_at' => 'datetime'];
    }

    public function recurrence(): ?Recurrence
    {
        return $this->rule === '' ? null : Recurrence::read($this->rule);
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('done_at')->orderBy('due_on')->orderBy('time')->orderBy('id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }
}
