<?php

declare(strict_types=1);

namespace App\Facts\Merging;

use Almanac\Banking\BankState;
use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Merging\SideFacts;
use Almanac\Terms\Side;
use App\Facts\Terms\SideDefaults;
use App\Models\BankDetail;
use App\Models\Document;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\RecordEdit;
use App\Models\Relation;
use App\Models\TaxNumber;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** What decides whether records may become one, read from the book. */
final class MergeSides
{
    /**
     * @param Collection<int, Party> $parties
     * @param User $by who asks: what they are changing themselves is no hindrance
     *
     * @return list<SideFacts>
     */
    public static function of(Collection $parties, Day $today, User $by): array
    {
        $ids = array_values($parties->map(fn (Party $party) => $party->id)->all());
        $parties->load('taxNumbers', 'codes', 'clientTerms.listed', 'vendorTerms.listed');
        $onHold = BankDetail::query()
            ->whereIn('party_id', $ids)->whereIn('state', [BankState::OnHold, BankState::Ending])->pluck('party_id')
            ->all();
        $editing = RecordEdit::now()->whereIn('party_id', $ids)->where('user_id', '!=', $by->id)->with('user')->get();
        $relations = Relation::query()->whereIn('from_id', $ids)->whereIn('to_id', $ids)->with('from', 'to', 'ownKind')->get();
        $open = DB::table('standings')
            ->whereIn('party_id', $ids)->whereRaw('(open_minor <> 0 or credits_minor <> 0 or unallocated_minor <> 0)')
            ->get();
        $twice = self::numbersTwice($ids);
        $openings = Document::query()->whereIn('party_id', $ids)->where('state', '!=', DocumentState::Void)
            ->whereIn('kind', [DocumentKind::OpeningReceivable, DocumentKind::OpeningPayable])->get();

        return array_values($parties->map(fn (Party $party) => new SideFacts(
            $party->id,
            $party->kind,
            $party->display_name,
            $party->isArchived(),
            self::grouped($party->taxNumbers->map(
                fn (TaxNumber $number) => [trim($number->kind->title().' '.$number->country), $number->token()],
            )->all()),
            self::grouped($party->codes->map(fn (PartyCode $code) => [$code->system, $code->value])->all()),
            in_array($party->id, $onHold, true),
            array_combine(
                array_column(Side::cases(), 'value'),
                array_map(fn (Side $side) => SideDefaults::of($party, $side, $today)->currency(), Side::cases()),
            ),
            $open->where('party_id', $party->id)->pluck('side')->mapWithKeys(fn (string $side) => [$side => true])->all(),
            self::related($party, $relations),
            array_values(array_map(
                fn (Document $document) => $document->kind->title().' '.$document->number,
                array_filter($twice, fn (Document $document) => $document->party_id === $party->id),
            )),
            array_values($openings->where('party_id', $party->id)->map(
                fn (Document $document) => mb_strtolower($document->kind->title()),
            )->all()),
            array_values($editing->where('party_id', $party->id)->map(fn (RecordEdit $edit) => $edit->user->name)->all()),
        ))->all());
    }

    /**
     * @param Collection<int, Relation> $relations
     *
     * @return array<int, string>
     */
    private static function related(Party $party, Collection $relations): array
    {
        $related = [];
        foreach ($relations as $relation) {
            if ($relation->from_id === $party->id || $relation->to_id === $party->id) {
                $related[$relation->otherIdThan($party)] = $relation->seenFrom($party)->name;
            }
        }

        return $related;
    }

    /**
     * Their bills and credits whose numbers several of them have.
     *
     * @param list<int> $ids
     *
     * @return list<Document>
     */
    private static function numbersTwice(array $ids): array
    {
        $theirs = fn () => Document::query()->whereIn('party_id', $ids)->whereNotNull('number')->where('state', '!=', DocumentState::Void)
            ->whereIn('kind', [DocumentKind::Bill, DocumentKind::CreditReceived]);
        $twice = $theirs()->groupBy('kind', 'number')->havingRaw('count(*) > 1')->selectRaw('kind, number')->toBase()->get();

        return array_merge([], ...$twice->map(
            fn (\stdClass $one) => array_values($theirs()->where('kind', $one->kind)->where('number', $one->number)->get()->all()),
        )->all());
    }

    /**
     * @param array<array{string, string}> $pairs
     *
     * @return array<string, list<string>>
     */
    private static function grouped(array $pairs): array
    {
        $grouped = [];
        foreach ($pairs as [$what, $value]) {
            $grouped[$what][] = $value;
        }

        return $grouped;
    }
}
