<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Addresses\Formatter;
use App\Facts\Mailing\AddressedLetter;
use OpenApi\Attributes as OA;

/** How a letter is addressed today. */
#[OA\Schema(schema: 'Letter')]
final readonly class LetterData
{
    /** @param  list<string>  $envelope */
    private function __construct(
        #[OA\Property(description: 'What stands on the envelope; empty without an address.', items: new OA\Items(type: 'string'))]
        public array $envelope,
        #[OA\Property(description: 'Whether the lines print whole on a label.')]
        public bool $fits,
        #[OA\Property(description: 'How it begins; null for somebody who has died and has nobody to stand in.', nullable: true)]
        public ?string $salutation,
        #[
            OA\Property(
                description: 'Who is written to instead of somebody who has died, or together with them.',
                ref: '#/components/schemas/PartyLink',
                nullable: true,
            ),
        ]
        public ?PartyLinkData $also,
    ) {
    }

    public static function of(AddressedLetter $letter): self
    {
        return new self(
            $letter->envelope,
            Formatter::fits($letter->envelope),
            $letter->salutation,
            $letter->also === null ? null : PartyLinkData::of($letter->also),
        );
    }
}
