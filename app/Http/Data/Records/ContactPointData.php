<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use App\Models\ContactPoint;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ContactPoint')]
final readonly class ContactPointData
{
    /** @param  list<string>  $uses */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: ContactKind::class)]
        public string $kind,
        #[OA\Property(description: 'As somebody typed it.')]
        public string $value,
        #[OA\Property(description: 'For reading.')]
        public string $display,
        #[OA\Property(description: 'To call, write or open it; empty for what no address leads to.')]
        public string $uri,
        #[OA\Property]
        public string $label,
        #[OA\Property(items: new OA\Items(type: 'string', enum: ContactUse::class))]
        public array $uses,
        #[OA\Property]
        public bool $isPrimary,
        #[OA\Property(description: 'Taken, but in no range known to be in use.')]
        public bool $isUnusual,
        #[OA\Property(description: 'Whose it is, when it is used here by link.', ref: '#/components/schemas/PartyLink', nullable: true)]
        public ?PartyLinkData $sameAs,
        #[OA\Property(description: 'Which of theirs it is then.', nullable: true)]
        public ?int $sameAsId,
        #[OA\Property(description: 'The address at which they are reached so, of several.', nullable: true)]
        public ?int $addressUseId,
        #[OA\Property(description: 'That address, in short.')]
        public string $atText,
        #[OA\Property(description: 'What it is called, where different people share it; else empty.')]
        public string $lineName,
    ) {
    }

    public static function of(ContactPoint $point, string $homeCountry): self
    {
        return new self(
            $point->id,
            $point->kind->value,
            $point->typed,
            $point->display($homeCountry),
            $point->uri(),
            $point->label,
            array_values($point->uses->map(fn ($use) => $use->value)->all()),
            $point->is_primary,
            $point->is_unusual,
            $point->source === null ? null : PartyLinkData::of($point->source->party),
            $point->same_as_id,
            $point->address_use_id,
            $point->at(),
            $point->line->name ?? '',
        );
    }
}
