<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\LineKind;
use App\Facts\LookAlikes\SharedThing;
use App\Models\SharedLine;
use OpenApi\Attributes as OA;

/** A phone, an email or an address that different people share, and who stands behind it. */
#[OA\Schema(schema: 'SharedLine')]
final readonly class SharedLineData
{
    /** @param  list<LineHolderData>  $holders */
    private function __construct(
        #[OA\Property(description: 'Null while it has no name.', nullable: true)]
        public ?int $id,
        #[OA\Property(enum: LineKind::class)]
        public string $kind,
        #[OA\Property(description: 'As it is kept.')]
        public string $value,
        #[OA\Property(description: 'For reading.')]
        public string $text,
        #[OA\Property(description: 'Empty while it has none.')]
        public string $name,
        #[OA\Property(description: 'A name that would do.')]
        public string $proposed,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day it was named, for reading.')]
        public string $day,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LineHolder'), description: 'Who was spoken to last first.')]
        public array $holders,
    ) {
    }

    /** @param  list<LineHolderData>  $holders */
    public static function of(SharedLine $line, SharedThing $thing, array $holders): self
    {
        return new self(
            $line->id,
            $line->kind->value,
            $line->value,
            $thing->text,
            $line->name,
            '',
            $line->user->name,
            $line->created_at === null ? '' : Day::fromIso($line->created_at->toDateString())->toText(),
            $holders,
        );
    }

    /** @param  list<LineHolderData>  $holders */
    public static function unnamed(SharedThing $thing, string $proposed, array $holders): self
    {
        return new self(null, $thing->kind->value, $thing->value, $thing->text, '', $proposed, '', '', $holders);
    }
}
