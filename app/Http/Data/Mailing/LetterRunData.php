<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Mailing\LetterOutcome;
use Almanac\Mailing\LettersState;
use Almanac\Mailing\LetterText;
use Almanac\Mailing\LetterWay;
use App\Models\LetterRun;
use App\Time\Clock;
use OpenApi\Attributes as OA;

/** A letter to many: how far it is, and what came of it. Load its user. */
#[OA\Schema(schema: 'LetterRun')]
final readonly class LetterRunData
{
    private const TITLE = 80;

    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'What it is about.')]
        public string $title,
        #[OA\Property(enum: LetterWay::class)]
        public string $way,
        #[OA\Property(description: 'The way in words.')]
        public string $wayText,
        #[OA\Property(enum: LettersState::class)]
        public string $state,
        #[OA\Property(description: 'The state in words.')]
        public string $stateText,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day it was asked for, for reading.')]
        public string $day,
        #[OA\Property(description: 'How many records were chosen.')]
        public int $total,
        #[OA\Property(description: 'How many of them have an outcome.')]
        public int $done,
        #[OA\Property(description: 'How many letters are written; some go to several records.')]
        public int $letters,
        #[OA\Property]
        public int $leftOut,
        #[OA\Property(description: 'Why it came to nothing; empty while it has not.')]
        public string $failure,
        #[OA\Property]
        public bool $isUnderWay,
        #[OA\Property(description: 'Whether there is a file of it.')]
        public bool $hasFile,
        #[OA\Property]
        public bool $mayGoOn,
    ) {
    }

    /**
     * @param array<string, int> $counts how many have each outcome, and under "letters" how many letters there are
     * @param string $example the subject of one of them
     */
    public static function of(LetterRun $run, array $counts, string $example): self
    {
        $waiting = $counts[LetterOutcome::Waiting->value] ?? 0;
        $leftOut = $counts[LetterOutcome::LeftOut->value] ?? 0;
        $total = $waiting + $leftOut + ($counts[LetterOutcome::Written->value] ?? 0);

        return new self(
            $run->id,
            mb_strimwidth(self::title($run, $example), 0, self::TITLE, '…'),
            $run->way->value,
            $run->way->title(),
            $run->state->value,
            $run->state->title(),
            $run->user->name,
            $run->created_at === null ? '' : Clock::dayOf($run->created_at)->toText(),
            $total,
            $total - $waiting,
            $counts['letters'] ?? 0,
            $leftOut,
            $run->failure,
            $run->state->isUnderWay(),
            $run->path !== null,
            $run->state->mayGoOn(),
        );
    }

    /** Its subject; where that is nothing but fields, as one of its readers has it; else how it begins. */
    private static function title(LetterRun $run, string $example): string
    {
        foreach ([LetterText::of($run->subject)->inShort(), $example, LetterText::of($run->body)->inShort()] as $words) {
            if (preg_match('/[\p{L}\p{N}]/u', $words) === 1) {
                return $words;
            }
        }

        return 'Letter';
    }
}
