<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

use Almanac\Calendar\Day;
use App\Models\Engagement;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;

/** A letter as somebody typed it: its day, what it speaks of, and its words, each refusal at its own field. */
final readonly class TypedLetter
{
    /** @param  LetterWriter|null  $writer  null where something is wrong with the words */
    private function __construct(public Day $day, public ?Engagement $engagement, public ?LetterWriter $writer)
    {
    }

    /** @param  array{subject: string, body: string, day: string, engagementId: int|null, ...}  $input */
    public static function read(array $input, TypedDates $dates, FieldProblems $problems, User $by): self
    {
        $day = $dates->day($input['day'], 'day', $problems) ?? $dates->today();
        $engagement = $input['engagementId'] === null ? null : Engagement::query()->find($input['engagementId']);

        return new self(
            $day,
            $engagement,
            $problems->at('body', fn () => LetterWriter::of($input['subject'], $input['body'], $engagement, $day, $by)),
        );
    }
}
