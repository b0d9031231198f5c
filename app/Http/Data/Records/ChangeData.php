<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Records\SectionName;
use App\Http\Data\Notes\LogEntryData;
use App\Models\Change;
use OpenApi\Attributes as OA;

/** One line of the change log. */
#[OA\Schema(schema: 'Change')]
final readonly class ChangeData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $section,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $by,
        #[OA\Property(format: 'date-time')]
        public string $at,
        #[OA\Property(description: 'The log entry that stands here, if one does.', ref: '#/components/schemas/LogEntry', nullable: true)]
        public ?LogEntryData $entry,
        #[OA\Property(description: 'The record that it was told of, where that was made one with this one; else empty.')]
        public string $of,
    ) {
    }

    /** @param  string  $of  the former record that it was told of; empty where there is none */
    public static function of(Change $change, string $of = ''): self
    {
        return new self(
            $change->id,
            SectionName::from($change->section)->title(),
            $change->label,
            $change->from,
            $change->to,
            $change->user->name,
            $change->at->toIso8601String(),
            $change->log_entry_id === null || $change->logEntry === null ? null : LogEntryData::of($change->logEntry),
            $of,
        );
    }
}
