<?php

declare(strict_types=1);

namespace App\Queries\Interchange;

use Almanac\Interchange\ListFormat;
use Almanac\Lists\ListOf;
use App\Facts\Interchange\PartyCard;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Models\Party;
use App\Models\SavedList;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** The address books of somebody, for phones and mail programs: everybody, and each saved list of records. */
final readonly class ReadCardBooks
{
    public const ALL = 'all';

    private const CHUNK = 300;

    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, string> names by address */
    public function books(User $reader): array
    {
        $books = [self::ALL => 'Everybody'];
        foreach (SavedList::readableBy($reader)->where('list', ListOf::Records)->orderBy('id')->get() as $list) {
            $books["list-$list->id"] = $list->name;
        }

        return $books;
    }

    /**
     * @return array<int, string>|null the state of each card by its record: another when the card is; null where there is no such book
     */
    public function states(string $book, User $reader): ?array
    {
        $sentence = $this->sentence($book, $reader);
        if ($sentence === null) {
            return null;
        }
        $list = new PartyList($this->clock, new Wanted($sentence), $reader);
        $today = $this->clock->today()->toIso();
        $states = [];
        // A record's line has what a card says of names, reach and places; its log the rest. A day may begin or end an address.
        $rows = DB::query()->fromSub($list->inOrder()->select('v.party_id'), 'wanted')
            ->join('record_lines', 'record_lines.party_id', '=', 'wanted.party_id')->join('parties', 'parties.id', '=', 'wanted.party_id')
            ->selectRaw(
                'wanted.party_id as id, record_lines.line, record_lines.stale_on, (select max(id) from changes where subject_id = wanted.party_id) as last',
            );
        foreach ($rows->get() as $row) {
            $states[(int) $row->id] = substr(
                hash('sha256', "$row->line|$row->last|".($row->stale_on !== null && $row->stale_on <= $today ? $today : '')),
                0,
                20,
            );
        }

        return $states;
    }

    /**
     * @param list<int> $ids
     *
     * @return \Generator<int, string> the card of each that is there, by its record
     */
    public function cards(array $ids, ListFormat $format): \Generator
    {
        $today = $this->clock->today();
        foreach (array_chunk($ids, self::CHUNK) as $some) {
            foreach (Party::query()->with(PartyCard::RELATIONS)->findMany($some) as $party) {
                $card = PartyCard::of($party, $today);
                yield $party->id => $format === ListFormat::VCard4 ? $card->toVCard4() : $card->toVCard3();
            }
        }
    }

    private function sentence(string $book, User $reader): ?string
    {
        if ($book === self::ALL) {
            return '';
        }
        $list = preg_match('/^list-(\d{1,12})$/', $book, $number) === 1
            ? SavedList::readableBy($reader)->where('list', ListOf::Records)->find((int) $number[1])
            : null;

        return $list instanceof SavedList ? $list->sentence : null;
    }
}
