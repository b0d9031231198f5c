<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineOutcome;
use App\Facts\Ledger\PartyMatch;
use App\Models\ImportLine;
use Illuminate\Support\Collection;

/** What a document of a file comes to, for all of its lines. */
final readonly class CheckedDocument
{
    /**
     * @param Collection<int, ImportLine> $lines
     * @param array<int, list<array{int, string}>> $problems by line: the column, from nought, and what to do
     * @param string|null $mark by which it is the same as another; of those that would be taken
     */
    public function __construct(
        private Collection $lines,
        public LineOutcome $outcome,
        private ?PartyMatch $whose,
        private array $problems,
        public ?string $mark = null,
    ) {
    }

    /** @return list<array<string, mixed>> its lines as they are kept */
    public function rows(): array
    {
        $head = $this->lines->firstOrFail();
        $recordId = $head->decision === ImportLine::RECORD ? $head->record_id : $this->whose?->partyId;
        $isOf = $head->decision === ImportLine::RECORD || in_array($this->outcome, [LineOutcome::New, LineOutcome::Same], true);

        return array_values($this->lines->map(fn (ImportLine $line): array => [
            'head' => $head->line,
            'mark' => $this->outcome === LineOutcome::New ? $this->mark : null,
            'outcome' => $this->outcome->value,
            'record_id' => $isOf ? $recordId : null,
            'candidates' => json_encode(array_map(fn (int $id) => ['id' => $id, 'isSure' => false], $this->whose->candidates ?? [])),
            'problems' => json_encode($this->problems[$line->line] ?? [], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'message' => $this->message($line->line),
        ] + $line->getAttributes())->all());
    }

    private function message(int $line): string
    {
        return match (true) {
            $this->outcome === LineOutcome::Doubtful => $this->whose->problem ?? '',
            $this->outcome === LineOutcome::Wrong && $this->problems !== [] && ! isset($this->problems[$line]) => InterchangeRefused::belongsTo(
                array_key_first($this->problems),
            )->getMessage(),
            default => '',
        };
    }
}
