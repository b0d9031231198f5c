<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\Addresses\Formatter;
use Almanac\Reach\ContactKind;
use Almanac\Records\OfficeList;
use App\Http\Data\LookAlikes\LookAlikeSideData;
use App\Models\AddressUse;
use App\Models\ContactPoint;
use App\Models\Office;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\Position;
use App\Models\TaxNumber;
use Illuminate\Support\Facades\DB;

/** What several records have of each thing by which one tells them apart; private values only masked. */
final readonly class SideBySide
{
    private const READS = ['contactPoints', 'addressUses.address', 'heldPositions.company', 'taxNumbers', 'codes', 'listItems', 'balance'];

    /**
     * @param list<int> $ids
     *
     * @return list<LookAlikeSideData> without what none of them has
     */
    public function of(array $ids): array
    {
        $home = Office::current()->country;
        $parties = Party::query()
            ->with(self::READS)->findMany($ids)->sortBy(fn (Party $party) => array_search($party->id, $ids, true))
            ->values();
        $documents = DB::table('documents')->whereIntegerInRaw('party_id', $ids)->groupBy('party_id')
            ->selectRaw('party_id, count(*) as many, max(dated_on) as latest')->get()->keyBy('party_id');
        $points = fn (ContactKind $kind) => fn (Party $party): array => $party->contactPoints->where('kind', $kind)
            ->map(fn (ContactPoint $point) => $point->display($home))->all();
        $lines = [
            'Name' => fn (Party $party): array => [$party->display_name, $party->preferred, $party->legal_name],
            'Role' => fn (Party $party): array => [$party->is_client ? 'client' : '', $party->is_vendor ? 'vendor' : ''],
            'Birth date' => fn (Party $party): array => [$party->born_on === null ? '' : 'kept'],
            'Phones' => $points(ContactKind::Phone),
            'Emails' => $points(ContactKind::Email),
            'Web addresses' => $points(ContactKind::Website),
            'Addresses' => fn (Party $party): array => $party->addressUses
                ->map(fn (AddressUse $use) => implode(', ', Formatter::onScreen($use->address->postal(), $home)))->all(),
            'Works at' => fn (Party $party): array => $party->heldPositions->map(
                fn (Position $held) => $held->company->display_name,
            )->all(),
            'Tax numbers' => fn (Party $party): array => $party->taxNumbers->map(fn (TaxNumber $number) => $number->masked)->all(),
            'Numbers elsewhere' => fn (Party $party): array => $party->codes->map(
                fn (PartyCode $code) => "$code->system $code->value",
            )->all(),
            'Tags' => fn (Party $party): array => $party->listed(OfficeList::Tags),
            'Documents' => fn (Party $party): array => isset($documents[$party->id]) ? [(string) $documents[$party->id]->many] : [],
            'Number' => fn (Party $party): array => ["no. $party->number"],
        ];
        $sides = [];
        foreach ($lines as $title => $of) {
            $values = $parties->map(fn (Party $party) => array_values(
                array_unique(array_filter($of($party), fn (string $one) => $one !== '')),
            ))->all();
            if (array_filter($values) !== []) {
                $sides[] = new LookAlikeSideData($title, array_values($values));
            }
        }

        return $sides;
    }
}
