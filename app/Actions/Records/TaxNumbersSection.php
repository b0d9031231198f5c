<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Names\NamePart;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\TaxIds\ReportChoice;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Models\Party;
use App\Models\TaxNumber;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;

/** The numbers by which tax offices and registers know a party; encrypted, and told one at a time. */
final readonly class TaxNumbersSection implements SectionOfNew
{
    public function __construct(private TypedDates $dates)
    {
    }

    public function name(): SectionName
    {
        return SectionName::TaxNumbers;
    }

    public function reads(): array
    {
        return ['taxNumbers'];
    }

    public function facts(Party $party): array
    {
        $facts = [];
        foreach ($party->taxNumbers as $number) {
            $facts['tax:'.$number->id] = new LoggedFact($number->kind->title(), $number->masked, $number->fingerprint);
        }

        return $facts + [
            'form' => new LoggedFact(
                'Form W-9',
                $party->form_on === null
                    ? ''
                    : trim('of '.$party->form_on->toText().($party->form_by === '' ? '' : ', signed by '.$party->form_by)),
            ),
            'report' => new LoggedFact('In the tax report', $party->report_choice->title()),
            'attorney' => new LoggedFact('Attorney', $party->is_attorney ? 'yes' : 'no'),
        ];
    }

    public function state(Party $party): array
    {
        return [
            'taxNumbers' => array_values(
                $party->taxNumbers
                    ->map(fn (TaxNumber $number) => $number->only('id', 'country', 'value') + ['kind' => $number->kind->value])
                    ->all(),
            ),
            'formOn' => $party->form_on?->toIso() ?? '',
            'formBy' => $party->form_by,
            'formFileId' => $party->form_file_id,
            'reportChoice' => $party->report_choice->value,
            'isAttorney' => $party->is_attorney,
        ];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /**
         * @var array{
         *     taxNumbers: list<array{id: int, kind: string, country: string, value: string}>, formOn: string, formBy: string,
         *     formFileId: int|null, reportChoice: string, isAttorney: bool,
         * } $state
         */
        $then->setRelation('taxNumbers', new Collection(array_map(function (array $row): TaxNumber {
            $number = new TaxNumber(['id' => $row['id']]);
            $number->setNumber(TaxId::of(TaxIdKind::from($row['kind']), $row['country'], $row['value']));

            return $number;
        }, $state['taxNumbers'])));
        $then->fill([
            'form_on' => Past::day($state['formOn']),
            'form_by' => $state['formBy'],
            'form_file_id' => $state['formFileId'],
            'report_choice' => ReportChoice::from($state['reportChoice']),
            'is_attorney' => $state['isAttorney'],
        ]);
    }

    public function isPrivate(array $state): bool
    {
        return $state['taxNumbers'] !== [];
    }

    public function neighbours(Party $party, array $input): array
    {
        return [];
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        $numbers = array_map($records->numbered(...), $this->read($new, new Collection, $input));
        $new->setRelation('taxNumbers', new Collection($numbers));
    }

    public function write(Party $party, array $input): void
    {
        $kept = $party->taxNumbers()->get()->keyBy('id');
        $numbers = $this->read($party, $kept, $input);
        $party->save();
        /** @var list<array{id: int|null, ...}> $rows */
        $rows = $input['taxNumbers'];
        KeptRow::deleteBut($kept, array_filter(array_column($rows, 'id')));
        foreach ($numbers as $number) {
            $number->save();
        }
    }

    /**
     * @param Collection<int, TaxNumber> $kept by number
     * @param array<string, mixed> $input
     *
     * @return list<TaxNumber>
     */
    private function read(Party $party, Collection $kept, array $input): array
    {
        /** @var list<array{id: int|null, kind: string, country: string, value: string|null}> $rows */
        $rows = $input['taxNumbers'];
        $problems = new FieldProblems;
        $numbers = [];
        foreach ($rows as $rank => $row) {
            $number = KeptRow::of($kept, $row['id'], new TaxNumber(['party_id' => $party->id]), isset($input['isRestored']));
            // Null leaves it as it is: whoever edits does not see it.
            $typed = $row['value'] ?? ($number->exists ? $number->value : '');
            $id = $problems->at("taxNumbers.$rank.value", fn () => TaxId::of(TaxIdKind::from($row['kind']), $row['country'], $typed));
            if ($id !== null) {
                $number->setNumber($id);
                $numbers[] = $number->fill(['rank' => $rank]);
            }
        }
        $this->form($party, $input, $problems);
        $problems->throwIfAny();

        return $numbers;
    }

    /**
     * What is not told stays as it is.
     *
     * @param array<string, mixed> $input
     */
    private function form(Party $party, array $input, FieldProblems $problems): void
    {
        if (! array_key_exists('formOn', $input)) {
            return;
        }
        /** @var array{formOn: string, formBy: string, formFileId: int|null, reportChoice: string, isAttorney: bool} $input */
        $day = $this->dates->day($input['formOn'], 'formOn', $problems);
        if ($day?->isAfter($this->dates->today())) {
            $problems->add('formOn', 'That day is still to come. Check the year.');
        }
        if ($input['formFileId'] !== null && ! $party->files()->whereKey($input['formFileId'])->exists()) {
            $problems->add('formFileId', 'Choose a file of this record.');
        }
        $party->fill([
            'form_on' => $day,
            'form_by' => $problems->at('formBy', fn () => NamePart::tidy($input['formBy'])),
            'form_file_id' => $input['formFileId'],
            'report_choice' => ReportChoice::from($input['reportChoice']),
            'is_attorney' => $input['isAttorney'],
        ]);
    }
}
