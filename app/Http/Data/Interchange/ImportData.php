<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use Almanac\Interchange\ImportState;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use App\Models\Import;
use App\Models\User;
use App\Time\Clock;
use OpenApi\Attributes as OA;

/** A file that is being read in: how far it is, and what it would come to. */
#[OA\Schema(schema: 'Import')]
final readonly class ImportData
{
    /**
     * @param list<ImportCountData> $outcomes
     * @param list<ImportCountData> $results
     */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'What is in it.', enum: [Import::DOCUMENTS, Import::RECORDS])]
        public string $of,
        #[OA\Property(enum: ImportState::class)]
        public string $state,
        #[OA\Property(description: 'The state in words.')]
        public string $stateText,
        #[OA\Property(description: 'The kind of the file, for reading.')]
        public string $format,
        #[OA\Property(description: 'How many the file has.')]
        public int $lines,
        #[OA\Property(description: 'Documents, people and companies that would be added or changed.')]
        public int $found,
        #[OA\Property(description: 'Of what is under way, how many are done.')]
        public int $done,
        #[OA\Property(
            description: 'What its people and companies, or its documents, come to.',
            items: new OA\Items(ref: '#/components/schemas/ImportCount'),
        )]
        public array $outcomes,
        #[OA\Property(description: 'What came of those that were taken.', items: new OA\Items(ref: '#/components/schemas/ImportCount'))]
        public array $results,
        #[OA\Property]
        public string $failure,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day it was handed in, for reading.')]
        public string $day,
        #[OA\Property(description: 'Whether the work on it has stopped half way, and may begin again.')]
        public bool $isStuck,
        #[OA\Property(description: 'Whether whoever asks may look into it, and say what is to become of it.')]
        public bool $isTheirs,
        #[OA\Property]
        public bool $isUnderWay,
        #[OA\Property(description: 'Whether its columns and lines may still be other.')]
        public bool $isOpen,
        #[OA\Property]
        public bool $mayTake,
        #[OA\Property]
        public bool $mayStop,
        #[OA\Property]
        public bool $mayTakeBack,
        #[OA\Property]
        public bool $mayForget,
    ) {
    }

    /**
     * @param array<string, int> $outcomes how many lines come to each
     * @param array<string, int> $results how many of those that were taken
     */
    public static function of(Import $import, array $outcomes, array $results, User $reader): self
    {
        $isTheirs = $reader->maySteer($import);
        $found = array_sum(array_map(fn (LineOutcome $one) => $one->isTaken() ? $outcomes[$one->value] ?? 0 : 0, LineOutcome::cases()));
        $done = array_sum($results);

        return new self(
            $import->id,
            $import->name,
            $import->of,
            $import->state->value,
            $import->state->title(),
            $import->settings->format->title(),
            $import->lines,
            $found,
            $import->taken,
            self::counts(LineOutcome::cases(), $outcomes),
            self::counts(LineDone::cases(), $results),
            $import->failure,
            $import->user->name,
            $import->created_at === null ? '' : Clock::dayOf($import->created_at)->toText(),
            $import->isStuck(),
            $isTheirs,
            $import->state->isUnderWay(),
            $import->isOpen(),
            $isTheirs && $import->state->mayBeTaken() && $found - $done > 0,
            $isTheirs && $import->state === ImportState::Taking,
            $isTheirs
                && $import->state->mayBeTakenBack()
                && ($results[LineDone::Added->value] ?? 0) + ($results[LineDone::Changed->value] ?? 0) > 0,
            $isTheirs && $import->state->mayBeForgotten(),
        );
    }

    /**
     * @param array<LineOutcome|LineDone> $cases
     * @param array<string, int> $counts
     *
     * @return list<ImportCountData> of those that there are
     */
    private static function counts(array $cases, array $counts): array
    {
        $there = array_filter($cases, fn (LineOutcome|LineDone $one) => ($counts[$one->value] ?? 0) > 0);

        return array_values(array_map(
            fn (LineOutcome|LineDone $one) => new ImportCountData($one->value, $one->title(), $counts[$one->value]),
            $there,
        ));
    }
}
