<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\ArchivedRecord;
use Almanac\Records\SubjectKind;

/**
 * A subject as what it is: it has the number that the subject has.
 *
 * @property int $id
 * @property \Illuminate\Support\Carbon|null $created_at
 */
abstract class SubjectModel extends Model
{
    public $incrementing = false;

    abstract public static function subjectKind(): SubjectKind;

    /** @throws ArchivedRecord when it is only kept for what refers to it */
    abstract public function assertInUse(): void;

    protected static function booted(): void
    {
        self::creating(function (self $subject): void {
            $subject->id ??= Subject::query()->create(['kind' => static::subjectKind()])->id;
        });
        self::deleted(fn (self $subject) => Subject::query()->whereKey($subject->id)->delete());
    }
}
