<?php

declare(strict_types=1);

namespace App\Http\Data\Notes;

use Almanac\Records\LogKind;
use App\Http\Data\Records\PartyLinkData;
use App\Models\LogEntry;
use OpenApi\Attributes as OA;

/** A note, call, email, meeting or letter. */
#[OA\Schema(schema: 'LogEntry')]
final readonly class LogEntryData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: LogKind::class)]
        public string $kind,
        #[OA\Property]
        public string $dayText,
        #[OA\Property(ref: '#/components/schemas/PartyLink', nullable: true)]
        public ?PartyLinkData $with,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public bool $isPinned,
        #[OA\Property]
        public string $by,
    ) {
    }

    public static function of(LogEntry $entry): self
    {
        return new self(
            $entry->id,
            $entry->kind->value,
            $entry->happened_on->toText(),
            $entry->withParty === null ? null : PartyLinkData::of($entry->withParty),
            $entry->text,
            $entry->is_pinned,
            $entry->user->name,
        );
    }
}
