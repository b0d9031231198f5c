<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Mailing\LetterOutcome;

/**
 * A letter to one record, or its part of one that it shares with others.
 *
 * @property int $id
 * @property int $letter_run_id
 * @property int $record_id
 * @property string $name of the record when it was chosen
 * @property int $rank
 * @property LetterOutcome $outcome
 * @property string $why they were left out
 * @property string|null $shared_by what all who get one envelope have alike; null until it is known
 * @property array{address: list<string>, to: list<string>, subject: string, body: string}|null $content as it was written; null of
 *                                                                                                       those who share one
 */
final class Letter extends Model
{
    protected $table = 'letters';

    public $timestamps = false;

    protected $attributes = ['why' => '', 'shared_by' => null, 'content' => null];

    protected function casts(): array
    {
        return ['outcome' => LetterOutcome::class, 'content' => 'array'];
    }
}
