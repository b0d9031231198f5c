<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Mailing\LetterOutcome;
use Almanac\Mailing\LetterWay;
use App\Models\Letter;
use OpenApi\Attributes as OA;

/** What came of a letter for one record. */
#[OA\Schema(schema: 'LetterOfRun')]
final readonly class LetterOfRunData
{
    private function __construct(
        #[OA\Property(description: 'Of the record.')]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: LetterOutcome::class)]
        public string $outcome,
        #[OA\Property(description: 'The outcome in words.')]
        public string $outcomeText,
        #[OA\Property(description: 'Why they were left out, or where it went.')]
        public string $note,
    ) {
    }

    public static function of(Letter $letter, LetterWay $way): self
    {
        $note = match (true) {
            $letter->why !== '' => $letter->why,
            $letter->outcome === LetterOutcome::Written && $letter->content === null => 'together with the one above',
            $letter->content === null => '',
            $way->isEmail() => implode(', ', $letter->content['to']),
            default => implode(', ', array_slice($letter->content['address'], 1)),
        };

        return new self($letter->record_id, $letter->name, $letter->outcome->value, $letter->outcome->title(), $note);
    }
}
