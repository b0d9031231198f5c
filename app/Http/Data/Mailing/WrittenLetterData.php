<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Calendar\Day;
use App\Facts\Mailing\WrittenLetter;
use OpenApi\Attributes as OA;

/** A letter as its reader gets it. */
#[OA\Schema(schema: 'WrittenLetter')]
final readonly class WrittenLetterData
{
    /**
     * @param list<string> $address
     * @param list<string> $to
     */
    private function __construct(
        #[OA\Property(description: 'As on the envelope.', items: new OA\Items(type: 'string'))]
        public array $address,
        #[OA\Property(description: 'Where it goes by email.', items: new OA\Items(type: 'string'))]
        public array $to,
        #[OA\Property]
        public string $subject,
        #[OA\Property]
        public string $body,
        #[OA\Property(description: 'For reading.')]
        public string $day,
    ) {
    }

    public static function of(WrittenLetter $letter, Day $day): self
    {
        return new self($letter->address, $letter->to, $letter->subject, $letter->body, $day->toText());
    }
}
