<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\SubjectKind;

/**
 * What sections, versions, states, the log, notes, files, reminders and cautions belong to. Whatever is a subject
 * has its number, so that all of these find it without knowing what it is.
 *
 * @property int $id
 * @property SubjectKind $kind
 */
final class Subject extends Model
{
    protected $table = 'subjects';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['kind' => SubjectKind::class];
    }
}
