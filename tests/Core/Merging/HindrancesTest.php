<?php

declare(strict_types=1);

namespace Tests\Core\Merging;

use Almanac\Merging\Decisions;
use Almanac\Merging\Hindrance;
use Almanac\Merging\Hindrances;
use Almanac\Merging\MergeRefused;
use Almanac\Merging\SideFacts;
use Almanac\Records\PartyKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands in the way of two records becoming one; common practice, no published source. */
final class HindrancesTest extends TestCase
{
    /**
     * @param array<string, mixed> $one
     * @param array<string, mixed> $other
     * @param list<string> $what
     */
    #[DataProvider('pairs')]
    public function test_what_stands_in_the_way(array $one, array $other, array $what): void
    {
        $sides = [
            new SideFacts(...$one + ['id' => 1, 'kind' => PartyKind::Person, 'name' => 'Robert']),
            new SideFacts(...$other + ['id' => 2, 'kind' => PartyKind::Person, 'name' => 'Bob']),
        ];
        $found = Hindrances::of($sides);
        $this->assertSame($what, array_map(fn (Hindrance $one) => $one->what, $found));
        foreach ($found as $hindrance) {
            $this->assertStringEndsWith('.', $hindrance->remedy, 'what would clear it is said');
        }
        // It is the same from whichever side one looks.
        $this->assertCount(count($what), Hindrances::of(array_reverse($sides)));
    }

    /** @return array<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function pairs(): array
    {
        $money = fn (string $currency, bool $isOpen) => ['currencies' => ['client' => $currency], 'hasOpen' => ['client' => $isOpen]];

        return [
            'nothing' => [[], [], []],
            'two kinds' => [[], ['kind' => PartyKind::Company], ['Robert and Bob are a person and a company: they cannot be one.']],
            'other tax numbers' => [
                ['taxNumbers' => ['EIN' => ['a']]], ['taxNumbers' => ['EIN' => ['b'], 'SSN' => ['c']]],
                ['Robert and Bob have different numbers: EIN.'],
            ],
            'one of them alike' => [['taxNumbers' => ['EIN' => ['a', 'b']]], ['taxNumbers' => ['EIN' => ['b']]], []],
            'only one has any' => [['taxNumbers' => ['EIN' => ['a']]], ['taxNumbers' => ['SSN' => ['b']]], []],
            'numbers elsewhere' => [
                ['codes' => ['Portal' => ['7']]], ['codes' => ['portal' => ['8']]],
                ['Robert and Bob are known by different numbers elsewhere: Portal.'],
            ],
            'the same elsewhere' => [['codes' => ['Portal' => ['7 A']]], ['codes' => ['portal' => ['7 a']]], []],
            'on hold' => [['hasBankOnHold' => true], [], ['Bank details of Robert wait for a second person.']],
            'related' => [[], ['related' => [1 => 'spouse']], ['Robert and Bob are two by what you have written: spouse.']],
            'currencies, money open' => [
                $money('USD', true),
                $money('CHF', false),
                ['Robert is kept in USD and Bob in CHF, and money is open.'],
            ],
            'currencies, nothing open' => [$money('USD', false), $money('CHF', false), []],
            'one currency' => [$money('CHF', true), $money('CHF', true), []],
            'one bill twice' => [['billed' => ['Bill 7']], ['billed' => ['Bill 7', 'Bill 8']], ['Robert and Bob both have Bill 7.']],
            'openings' => [
                ['openings' => ['opening balance']],
                ['openings' => ['opening balance']],
                ['Robert and Bob both have an opening balance.'],
            ],
            'archived' => [['isArchived' => true], [], ['Robert is archived.']],
            'somebody is at it' => [[], ['editedBy' => ['Ada', 'Jonas']], ['Ada and Jonas are changing Bob at this moment.']],
        ];
    }

    public function test_only_what_is_archived_is_waived(): void
    {
        $waived = fn (SideFacts $one) => array_map(fn (Hindrance $found) => $found->isWaived, Hindrances::of([$one]));
        $this->assertSame([true], $waived(new SideFacts(1, PartyKind::Person, 'Ada', isArchived: true)));
        $this->assertSame([false], $waived(new SideFacts(1, PartyKind::Person, 'Ada', hasBankOnHold: true)));
    }

    public function test_a_refusal_says_what_and_what_would_clear_it(): void
    {
        $this->assertSame('It is so. Do that.', MergeRefused::because([new Hindrance('It is so.', 'Do that.')])->getMessage());
    }

    public function test_decisions_are_kept_with_a_proposal(): void
    {
        $decisions = new Decisions(
            ['identity/given' => 2], ['reach/contact:1' => false, 'addresses/address:3' => true],
            ['reach/contact:2' => 'home'], ['reach/contact:2'], true,
        );
        $this->assertEquals($decisions, Decisions::fromArray((array) json_decode((string) json_encode($decisions->toArray()), true)));
        $this->assertSame(['contact:1' => false], $decisions->linesOf('reach'));
    }
}
