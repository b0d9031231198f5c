<?php

declare(strict_types=1);

namespace App\Queries\Interchange;

use Almanac\Interchange\DocumentReader;
use Almanac\Interchange\ReadDocument;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Records\RecordRow;
use App\Http\Data\Interchange\ImportCandidateData;
use App\Http\Data\Interchange\ImportCellProblemData;
use App\Http\Data\Interchange\ImportChangeData;
use App\Http\Data\Interchange\ImportLineData;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Collection;

/** Reads the documents of a file: what each is, whose it is, and what is wrong with its lines. */
final readonly class ReadImportedDocuments
{
    public function __construct(private OfficeReading $office, private Clock $clock)
    {
    }

    /**
     * @param Collection<int, ImportLine> $heads the lines on which they begin
     *
     * @return list<ImportLineData>
     */
    public function of(Import $import, Collection $heads): array
    {
        $reader = $this->office->documents($import->settings);
        $lines = $import->importLines()->whereIntegerInRaw('head', $heads->pluck('line'))->get()->groupBy('head');
        $ids = $heads->flatMap(fn (ImportLine $one) => [...array_column($one->candidates, 'id'), $one->record_id])->filter()->unique()->all();
        $parties = Party::query()->with(RecordRow::READS)->findMany($ids)->keyBy('id')->all();

        return array_values($heads->map(
            fn (ImportLine $head) => $this->line($head, $lines->get($head->line, new Collection), $reader, $parties),
        )->all());
    }

    /**
     * @param Collection<int, ImportLine> $lines
     * @param array<int, Party> $parties
     */
    private function line(ImportLine $head, Collection $lines, DocumentReader $reader, array $parties): ImportLineData
    {
        $cells = $lines->mapWithKeys(fn (ImportLine $one): array => [$one->line => $one->cells()])->all();
        $document = $cells === [] ? null : $reader->read($cells)->document;
        $party = $parties[$head->record_id ?? 0] ?? null;
        $problems = [];
        foreach ($lines as $line) {
            foreach ($line->problems as [$column, $message]) {
                $problems[] = new ImportCellProblemData($line->line, $column, $cells[$line->line][$column] ?? '', $message);
            }
        }

        return new ImportLineData(
            $head->line,
            $head->outcome->value,
            $head->outcome->title(),
            $document === null
                ? implode(' ', array_slice(array_filter($head->cells(), fn (string $cell) => $cell !== ''), 0, 3))
                : "{$document->kind->title()} $document->number",
            $head->message,
            $problems,
            $document === null ? [] : $this->says($document, $party === null),
            $party === null ? null : ImportCandidateData::of($party, $this->clock->today(), false),
            array_values(array_filter(array_map(
                fn (array $one) => isset($parties[$one['id']]) ? ImportCandidateData::of($parties[$one['id']], $this->clock->today(), false) : null,
                $head->candidates,
            ))),
            $head->decision,
            null,
            $head->done?->value,
            $head->done?->title() ?? '',
            $head->way_back['document'] ?? null,
        );
    }

    /** @return list<ImportChangeData> */
    private function says(ReadDocument $document, bool $withParty): array
    {
        $count = count($document->lines);
        $says = [
            'Client or vendor' => $withParty ? $document->partyName : '',
            'Date' => $document->date->toText(),
            'Due' => $document->due?->toText() ?? '',
            'Terms' => $document->terms,
            'Amount' => $document->totals()->gross->toText(),
            'For' => $count === 1 && $document->lines[0]->text !== $document->number ? $document->lines[0]->text : '',
            'Lines' => $count === 1 ? '' : (string) $count,
            'Their reference' => $document->reference,
        ];

        $told = array_filter($says, fn (string $one) => $one !== '');

        return array_map(fn (string $title, string $to) => new ImportChangeData($title, '', $to), array_keys($told), $told);
    }
}
