<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\SectionName;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One line of the change log: who changed what, when, from what, to what.
 *
 * @property int $id
 * @property int $subject_id
 * @property string $section
 * @property string $key of the fact; the same for the same thing, whatever it is called and is
 * @property string $label
 * @property string $from
 * @property string $to
 * @property int $user_id
 * @property Carbon $at
 * @property int|null $log_entry_id the entry whose place in the stream this is
 * @property-read User $user
 * @property-read Party|null $party whose it is; null where it is of something else
 * @property-read LogEntry|null $logEntry
 */
final class Change extends Model
{
    /** The key of what says only that somebody has read what is private. */
    public const SEEN = 'seen';

    protected $table = 'changes';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }

    /** @return BelongsTo<LogEntry, $this> */
    public function logEntry(): BelongsTo
    {
        return $this->belongsTo(LogEntry::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'subject_id');
    }

    /**
     * What was logged when somebody was called otherwise: family names, names of a company.
     *
     * @param Builder<self> $query
     */
    public function scopeFormerNames(Builder $query): void
    {
        $query->where('section', SectionName::Identity->value)->whereIn('key', ['family', 'name'])->where('from', '<>', '')->orderBy('id');
    }
}
