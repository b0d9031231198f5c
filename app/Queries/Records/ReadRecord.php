<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Calendar\Day;
use Almanac\Cautions\CautionUse;
use Almanac\Reach\ContactKind;
use Almanac\Reach\LocalTime;
use Almanac\Readiness\Readiness;
use Almanac\Records\SectionName;
use Almanac\Terms\Side;
use App\Facts\Lists\SearchedFields;
use App\Facts\Mailing\AddressLetters;
use App\Facts\Readiness\RecordFacts;
use App\Facts\Records\SectionVersions;
use App\Facts\Relations\RelationNames;
use App\Http\Data\Files\FileData;
use App\Http\Data\Merging\MadeFromData;
use App\Http\Data\Notes\CautionData;
use App\Http\Data\Notes\LogEntryData;
use App\Http\Data\Readiness\ReadinessData;
use App\Http\Data\Records\AddressesData;
use App\Http\Data\Records\ArchiveData;
use App\Http\Data\Records\ChangeData;
use App\Http\Data\Records\IdentityData;
use App\Http\Data\Records\LetterData;
use App\Http\Data\Records\LocalTimeData;
use App\Http\Data\Records\PartyRowData;
use App\Http\Data\Records\PositionsData;
use App\Http\Data\Records\ReachData;
use App\Http\Data\Records\RecordData;
use App\Http\Data\Records\RelationData;
use App\Http\Data\Records\RelationsData;
use App\Http\Data\Records\TaxNumberData;
use App\Http\Data\Records\TaxNumbersData;
use App\Http\Data\Reminders\ReminderData;
use App\Models\AddressUse;
use App\Models\Caution;
use App\Models\Change;
use App\Models\ContactPoint;
use App\Models\File;
use App\Models\FormerRecord;
use App\Models\LogEntry;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;
use App\Models\Relation;
use App\Models\Reminder;
use App\Models\TaxNumber;
use App\Queries\Banking\ReadBank;
use App\Queries\Finding\ReadLines;
use App\Queries\Ledger\ReadRecordDocuments;
use App\Queries\Ledger\ReadStanding;
use App\Queries\Terms\ReadSide;
use App\Time\Clock;
use Illuminate\Support\Facades\Auth;

/** Reads a whole record, with what the program works out from it. */
final readonly class ReadRecord
{
    private const RELATIONS = [
        ...SearchedFields::READS,
        ...RecordFacts::RELATIONS,
        'owner', 'accountManager', 'buyer',
        'contactPoints.source.party', 'contactPoints.addressUse.address', 'contactPoints.line', 'addressUses.address.owner',
        'heldPositions.company', 'heldPositions.duties', 'staffPositions.duties',
        'clientTerms.listed', 'vendorTerms.listed', 'cautions.user',
    ];

    public function __construct(
        private Clock $clock,
        private ReadLines $lines,
        private ReadSide $sides,
        private ReadStanding $standing,
        private ReadRecordDocuments $documents,
        private ReadBank $bank,
        private ReadClassification $classification,
        private ReadDetails $details,
        private AddressLetters $letters,
        private ReadHistory $history,
    ) {
    }

    public function handle(Party $party): RecordData
    {
        $party->load(self::RELATIONS);
        $today = $this->clock->today();
        $home = Office::current()->country;
        $versions = SectionVersions::all($party);
        $version = fn (SectionName $section) => $versions[$section->value] ?? 0;
        $letter = $this->letters->handle($party, $today);
        $relations = Relation::of($party)->get();
        $lines = $this->lines->handle([
            ...$party->positions()->map(fn (Position $position) => $position->otherIdThan($party))->all(),
            ...$relations->map(fn (Relation $relation) => $relation->otherIdThan($party))->all(),
        ]);

        return new RecordData(
            PartyRowData::of($party, $today),
            ArchiveData::of($party),
            $this->cautions($party, $today),
            $this->pinned($party),
            IdentityData::of($party, $version(SectionName::Identity), $today),
            ReachData::of($party, $version(SectionName::Reach), $home, $this->localTime($party)),
            AddressesData::of(
                $party,
                $version(SectionName::Addresses),
                fn (AddressUse $use) => $this->letters->envelope($party, $use, $today),
                $home,
                $today,
            ),
            PositionsData::of($party, $version(SectionName::Positions), $lines, $today),
            new RelationsData($version(SectionName::Relations), RelationNames::offered($party->kind), array_values($relations->map(
                fn (Relation $relation) => RelationData::of($relation, $party, $lines[$relation->otherIdThan($party)]->row, $today),
            )->all())),
            $this->classification->handle($party, $version(SectionName::Classification), $today),
            $this->details->handle($party, $version(SectionName::Details)),
            $this->taxNumbers($party, $version(SectionName::TaxNumbers)),
            $this->sides->handle($party, Side::Client, $version(SectionName::ClientTerms), $today),
            $this->sides->handle($party, Side::Vendor, $version(SectionName::VendorTerms), $today),
            $this->bank->handle($party),
            $this->documents->handle($party, $today),
            $this->standing->handle($party, $today),
            array_values(
                $party->files()->with('user', 'party', 'engagement')->get()->map(fn (File $file) => FileData::of($file, $today))->all(),
            ),
            $this->reminders($party),
            array_map(ReadinessData::of(...), Readiness::of(RecordFacts::of($party, $today))),
            LetterData::of($letter),
            $this->lastChange($party),
            $this->history->added($party),
            $this->history->last($party),
            array_values($party->formerRecords->map(fn (FormerRecord $one) => MadeFromData::of($one))->all()),
        );
    }

    /** @return list<ReminderData> */
    private function reminders(Party $party): array
    {
        return array_values($party->reminders()->open()->with('party', 'engagement', 'user', 'by')->get()
            ->map(fn (Reminder $reminder) => ReminderData::of($reminder, $this->clock->here()))->all());
    }

    /** Only where it is another than at the office. */
    private function localTime(Party $party): ?LocalTimeData
    {
        $now = $this->clock->here()->toDateTimeImmutable();
        $address = $party->addressFor(Purpose::Postal, $this->clock->today())?->address;
        $phone = $party->contactPoints->first(fn (ContactPoint $point) => $point->kind === ContactKind::Phone);

        $there = LocalTime::of(
            $address->country ?? '',
            $address->region ?? '',
            $phone->value ?? '',
            $now,
        );

        return LocalTimeData::orNull($there?->isThatOf($now) === true ? null : $there);
    }

    /** @return list<CautionData> */
    private function cautions(Party $party, Day $today): array
    {
        $reader = Auth::user();

        return array_values($party->cautions
            ->filter(fn (Caution $caution) => $caution->value()->concerns(CautionUse::Any, $today))
            ->map(fn (Caution $caution) => CautionData::of($caution, $reader))->all());
    }

    /** @return list<LogEntryData> */
    private function pinned(Party $party): array
    {
        return array_values($party->logEntries()->where('is_pinned', true)->with('user', 'withParty')->get()
            ->map(fn (LogEntry $entry) => LogEntryData::of($entry))->all());
    }

    private function taxNumbers(Party $party, int $version): TaxNumbersData
    {
        $reporting = RecordFacts::reporting($party, $this->clock->today());

        return new TaxNumbersData(
            $version,
            array_values($party->taxNumbers->map(fn (TaxNumber $number) => TaxNumberData::of($number))->all()),
            $party->form_on?->toIso() ?? '',
            $party->form_on?->toText() ?? '',
            $party->form_by,
            $party->form_file_id,
            $party->report_choice->value,
            $party->is_attorney,
            $reporting->isReportable,
            $reporting->why,
        );
    }

    private function lastChange(Party $party): ?ChangeData
    {
        $last = Change::query()
            ->with('user', 'logEntry.user', 'logEntry.withParty')
            ->where('subject_id', $party->id)
            ->latest('id')
            ->first();

        return $last === null ? null : ChangeData::of($last);
    }
}
