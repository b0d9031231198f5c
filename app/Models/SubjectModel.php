<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\SubjectKind;

/**
 * A subject as what it is: it has the number that the subject has.
 *
 * @property int $id
 * @property Day|null $archived_on
 * @property string $archive_reason
 * @property \Illuminate\Support\Carbon|null $created_at
 */
abstract class SubjectModel extends Model
{
    public $incrementing = false;

    abstract public static function subjectKind(): SubjectKind;

    final public function isArchived(): bool
    {
        return $this->archived_on !== null;
    }

    /** @throws ArchivedRecord when it is only kept for what refers to it */
    final public function assertInUse(): void
    {
        if ($this->isArchived()) {
            throw new ArchivedRecord;
        }
    }

    protected static function booted(): void
    {
        self::creating(function (self $subject): void {
            $subject->id ??= Subject::query()->create(['kind' => static::subjectKind()])->id;
        });
        self::deleted(fn (self $subject) => Subject::query()->whereKey($subject->id)->delete());
    }
}
