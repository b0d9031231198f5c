<?php

declare(strict_types=1);

namespace App\Queries\Mailing;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\Formatter;
use Almanac\Lists\Collation;
use Almanac\Reach\ContactKind;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Models\ContactPoint;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;
use App\Models\User;
use App\Time\Clock;

/** Reads the entries of an address book, or of a list of phones, by the letter under which each is looked for. */
final readonly class ReadAddressBook
{
    private const CHUNK = 300;

    public function __construct(private Clock $clock)
    {
    }

    /** @return \Generator<int, array{letter: string, name: string, lines: list<string>}> */
    public function handle(Wanted $wanted, bool $isOfPhones, User $reader): \Generator
    {
        $list = new PartyList($this->clock, new Wanted($wanted->sentence, withArchived: $wanted->withArchived), $reader);
        $today = $this->clock->today();
        $home = Office::current()->country;
        foreach ($list->inOrder()->pluck('v.party_id')->chunk(self::CHUNK) as $some) {
            $parties = Party::query()
                ->with(['contactPoints', 'addressUses.address', 'heldPositions.company'])->findMany($some->all())
                ->keyBy('id');
            foreach ($some as $id) {
                $party = $parties->get($id);
                if (! $party instanceof Party || $party->is_deceased) {
                    continue;
                }
                $phones = $this->points($party, ContactKind::Phone, $home);
                if ($isOfPhones && $phones === []) {
                    continue;
                }
                $address = $party->addressFor(Purpose::Postal, $today)?->address->postal();
                $works = $party->isPerson()
                    ? $party->heldPositions->filter(fn (Position $held) => $held->period()->includes($today))
                        ->map(fn (Position $held) => trim("$held->title, {$held->company->display_name}", ', '))->all()
                    : [];
                yield [
                    'letter' => Collation::letter($party->file_as),
                    'name' => $party->file_as,
                    'lines' => $isOfPhones ? $phones : [
                        ...$works, ...$address === null ? [] : Formatter::onScreen($address, $home), ...$phones,
                        ...$this->points($party, ContactKind::Email, $home),
                    ],
                ];
            }
        }
    }

    /** @return list<string> */
    private function points(Party $party, ContactKind $kind, string $home): array
    {
        return array_values($party->contactPoints->filter(fn (ContactPoint $point) => $point->kind === $kind)
            ->map(fn (ContactPoint $point) => trim($point->display($home).'  '.$point->label))->all());
    }
}
