<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Interchange\AddressChanges;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\Places;
use Almanac\Interchange\RowChanges;
use Almanac\Records\PartyKind;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a line of a file changes of those things of which a record may have several; common practice, no published source. */
final class ChangesTest extends TestCase
{
    /**
     * @param list<string> $kept "1 Lane, Putney, VT, 05346 for home"
     * @param list<string> $read
     * @param list<string> $filled as they are afterwards, where only what is empty is filled
     * @param list<string> $taken where what is otherwise takes the place of what is there
     */
    #[TestWith([['1 Lane, Putney, VT, 05346'], ['1 lane, putney, , '], ['1 Lane, Putney, VT, 05346'], ['1 Lane, Putney, VT, 05346']], 'less is the same')]
    #[TestWith([['1 Lane, Putney, , '], ['1 Lane, Putney, VT, 05346'], ['1 Lane, Putney, VT, 05346'], ['1 Lane, Putney, VT, 05346']], 'more is the same')]
    #[TestWith([['1 Lane, Putney, VT, 05346'], ['2 Road, Keene, , '], ['1 Lane, Putney, VT, 05346'], ['2 Road, Keene, , ']], 'no street with the postcode of another')]
    #[TestWith([['1 Lane, Putney, VT, 05346 for home'], [', , , 05347'], ['1 Lane, Putney, VT, 05346 for home'], ['1 Lane, Putney, VT, 05347 for home']], 'what is not said stays')]
    #[TestWith([['1 Lane, Putney, , '], ['2 Road, Keene, , ', '3 Way, Bath, , '], ['1 Lane, Putney, , '], ['2 Road, Keene, , ', '3 Way, Bath, , ']], 'one place is taken once')]
    #[TestWith([['1 Lane, Putney, , '], ['2 Road, Keene, , ', '1 Lane, Putney, , '], ['1 Lane, Putney, , '], ['1 Lane, Putney, , ', '2 Road, Keene, , ']])]
    #[TestWith([['1 Lane, Putney, , '], ['2 Road, Keene, ,  for billing'], ['1 Lane, Putney, , ', '2 Road, Keene, ,  for billing'], ['1 Lane, Putney, , ', '2 Road, Keene, ,  for billing']])]
    #[TestWith([['1 Lane, Putney, ,  for billing'], ['2 Road, Keene, ,  for billing'], ['1 Lane, Putney, ,  for billing'], ['2 Road, Keene, ,  for billing']])]
    #[TestWith([[], ['1 Lane, Putney, , ', '2 Road, Keene, , '], ['1 Lane, Putney, , ', '2 Road, Keene, , '], ['1 Lane, Putney, , ', '2 Road, Keene, , ']])]
    public function test_an_address_is_the_same_or_another_whole(array $kept, array $read, array $filled, array $taken): void
    {
        foreach ([[false, $filled], [true, $taken]] as [$takes, $wanted]) {
            $is = self::addresses($kept);
            $now = $is;
            // The second time there is nothing to change.
            foreach ([count(array_diff($wanted, $kept)), 0] as $told) {
                $changes = AddressChanges::between($now, self::addresses($read), $takes);
                $now = [...array_replace($now, $changes->moved), ...$changes->added];
                $this->assertSame($wanted, array_map(self::told(...), $now));
                $this->assertCount($told, $changes->told);
            }
        }
    }

    public function test_each_has_a_place_of_its_own_and_who_is_named_stays(): void
    {
        mt_srand(20);
        $kind = fn (string $one): string => $one[0];
        $value = fn (string $one): string => substr($one, 1);
        for ($round = 0; $round < 500; $round++) {
            $some = fn (): array => array_values(array_unique(array_map(fn () => 'ab'[mt_rand(0, 1)].mt_rand(1, 5), range(0, mt_rand(0, 5)))));
            [$kept, $read] = [$some(), $some()];
            $places = Places::of($kept, $read, $kind, $value);
            $taken = array_filter($places, is_int(...));
            $this->assertSame($taken, array_unique($taken));
            foreach ($places as $at => $place) {
                if (in_array($read[$at], $kept, true)) {
                    $this->assertSame($read[$at], $kept[$place ?? -1] ?? '');
                } elseif ($place !== null) {
                    $this->assertSame($kind($read[$at]), $kind($kept[$place]));
                    $this->assertNotContains($kept[$place], $read);
                } else {
                    $free = array_diff_key($kept, array_flip($taken));
                    $this->assertNotContains($kind($read[$at]), array_map($kind, $free), 'a place of its kind is left');
                }
            }
        }
    }

    public function test_two_of_a_kind_stay_two_and_one_takes_the_place_of_one(): void
    {
        $row = fn (string ...$numbers): PartyRow => new PartyRow(PartyKind::Company, ['name' => 'A Inc'], taxNumbers: array_map(
            fn (string $one) => ['kind' => 'VAT', 'country' => 'DE', 'value' => $one],
            array_values($numbers),
        ));
        $added = fn (PartyRow $kept, PartyRow $read, OnExisting $how): array => array_column(
            RowChanges::between($kept, $read, $how)->added->taxNumbers ?? [], 'value',
        );
        $this->assertSame(['1', '2'], $added($row(), $row('1', '2'), OnExisting::Fill));
        $this->assertSame([], $added($row('1'), $row('2'), OnExisting::Fill), 'there is one');
        $this->assertSame(['2'], $added($row('1'), $row('2'), OnExisting::TakeOver));
        $this->assertSame(['1', '2'], $added($row('1'), $row('2', '1'), OnExisting::TakeOver), 'the one that is there keeps its place');
        $this->assertSame([], $added($row('1', '2'), $row('2', '1'), OnExisting::TakeOver));
        $changes = RowChanges::between($row('10001', '10002'), $row('10002', '10003'), OnExisting::TakeOver);
        $this->assertSame([['•••• 0001', '•••• 0003']], array_map(fn ($one) => [$one->from, $one->to], $changes->changes ?? []));
    }

    public function test_two_positions_at_one_company_are_two(): void
    {
        $row = fn (string ...$titles): PartyRow => new PartyRow(PartyKind::Person, ['given' => 'Ada'], positions: array_map(
            fn (string $title) => ['company' => 'Larch Joiners', 'title' => $title, 'department' => ''],
            array_values($titles),
        ));
        $this->assertNull(RowChanges::between($row('Owner', 'Agent'), $row('Agent', 'Owner'), OnExisting::TakeOver));
        $this->assertNull(RowChanges::between($row('Owner'), $row('Owner', 'Agent'), OnExisting::Fill), 'where they work is known');
        $this->assertSame(['Agent'], array_column(RowChanges::between($row('Owner'), $row('Owner', 'Agent'), OnExisting::TakeOver)->added->positions ?? [], 'title'));
        $this->assertSame(['Agent'], array_column(RowChanges::between($row(''), $row('Agent'), OnExisting::Fill)->held ?? [], 'title'));
    }

    /**
     * @param list<string> $told
     *
     * @return list<array{country: string, lines: string, locality: string, region: string, postcode: string, attention: string, careOf: string, uses: list<string>}>
     */
    private static function addresses(array $told): array
    {
        return array_map(function (string $one): array {
            [$address, $use] = [...explode(' for ', $one), ''];
            [$lines, $locality, $region, $postcode] = array_map(trim(...), explode(',', $address));

            return [
                'country' => 'US', 'lines' => $lines, 'locality' => $locality, 'region' => $region, 'postcode' => $postcode,
                'attention' => '', 'careOf' => '', 'uses' => $use === '' ? [] : [$use],
            ];
        }, $told);
    }

    /** @param  array{lines: string, locality: string, region: string, postcode: string, uses: list<string>, ...}  $one */
    private static function told(array $one): string
    {
        return "$one[lines], $one[locality], $one[region], $one[postcode]".($one['uses'] === [] ? '' : ' for '.$one['uses'][0]);
    }
}
