<?php

declare(strict_types=1);

namespace Tests\Core\Merging;

use Almanac\Merging\Line;
use Almanac\Merging\Lines;
use Almanac\Merging\RowBack;
use Almanac\Merging\SectionApart;
use Almanac\Merging\SectionParts;
use Almanac\Records\SectionName;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** States of sections, put together part by part and taken apart again. */
final class SectionPartsTest extends TestCase
{
    public function test_a_state_put_together_from_its_own_parts_is_what_it_was(): void
    {
        foreach ($this->states() as [$section, $state]) {
            $parts = SectionParts::of($section);
            $this->assertSame(
                $state,
                $parts->with($state, $parts->singles($state), $parts->lines($state), $parts->members($state)),
                $section->value,
            );
        }
    }

    public function test_single_values_are_replaced_where_they_stand(): void
    {
        $terms = SectionParts::of(SectionName::ClientTerms);
        $state = [
            'listedId' => 1,
            'shorthand' => null,
            'fields' => [['name' => 'currency', 'value' => null], ['name' => 'limit', 'value' => '10']],
        ];
        $this->assertSame(['terms', 'currency', 'limit'], array_keys($terms->singles($state)));
        $this->assertSame(
            [
                'listedId' => null,
                'shorthand' => 'net 10',
                'fields' => [['name' => 'currency', 'value' => 'CHF'], ['name' => 'limit', 'value' => '10']],
            ],
            $terms->with($state, ['terms' => ['listedId' => null, 'shorthand' => 'net 10'], 'currency' => ['value' => 'CHF']]),
        );
        $details = SectionParts::of(SectionName::Details);
        $state = ['values' => [['fieldId' => 2, 'value' => 'a'], ['fieldId' => 9, 'value' => 'b']]];
        $this->assertSame(
            ['values' => [['fieldId' => 5, 'value' => 'c'], ['fieldId' => 9, 'value' => 'b']]],
            $details->with($state, ['field:2' => ['value' => ''], 'field:5' => ['value' => 'c']]),
        );
    }

    /** @param  array<string, mixed>  $values */
    #[TestWith([['isClient' => false], true])]
    #[TestWith([['isClient' => true], false])]
    #[TestWith([['isDeceased' => false, 'deceasedOn' => ''], true])]
    #[TestWith([['reportChoice' => 'by-rule'], true])]
    #[TestWith([['reportChoice' => 'never'], false])]
    #[TestWith([['value' => null], true])]
    #[TestWith([['ownerId' => 4], false])]
    #[TestWith([[], true])]
    public function test_what_says_nothing(array $values, bool $isEmpty): void
    {
        $this->assertSame($isEmpty, SectionParts::isEmpty($values));
    }

    /**
     * @param array<string, mixed> $one
     * @param array<string, mixed> $other
     */
    #[TestWith([
        'reach', ['kind' => 'phone', 'read' => ['value' => '+18025550142', 'extension' => '']],
        ['kind' => 'phone', 'read' => ['value' => '+18025550142', 'extension' => '']], true,
    ])]
    #[TestWith([
        'reach', ['kind' => 'phone', 'read' => ['value' => '+18025550142', 'extension' => '']],
        ['kind' => 'phone', 'read' => ['value' => '+18025550142', 'extension' => '7']], false,
    ])]
    #[TestWith([
        'reach', ['kind' => 'email', 'read' => ['value' => 'A@b.example', 'extension' => '']],
        ['kind' => 'email', 'read' => ['value' => 'a@b.example', 'extension' => '']], true,
    ])]
    #[TestWith([
        'addresses',
        ['addressId' => 1, 'country' => 'US', 'lines' => '90 Longitude Street', 'locality' => 'Boston', 'postcode' => '02108'],
        ['addressId' => 2, 'country' => 'US', 'lines' => '90 Longitude St.', 'locality' => 'Boston', 'postcode' => '02108-1234'],
        true,
    ])]
    #[TestWith([
        'addresses',
        ['addressId' => 1, 'country' => 'US', 'lines' => "90 Longitude Street\nApt 2", 'locality' => 'Boston', 'postcode' => '02108'],
        ['addressId' => 2, 'country' => 'US', 'lines' => '90 Longitude Street', 'locality' => 'Boston', 'postcode' => '02108'],
        false,
    ])]
    #[TestWith([
        'addresses',
        ['addressId' => 1, 'country' => 'US', 'lines' => '90 Longitude Street', 'locality' => 'Boston', 'postcode' => ''],
        ['addressId' => 2, 'country' => 'CA', 'lines' => '90 Longitude Street', 'locality' => 'Boston', 'postcode' => ''],
        false,
    ])]
    #[TestWith([
        'addresses',
        ['addressId' => 1, 'country' => 'US', 'lines' => '90 Longitude Street', 'locality' => 'Boston', 'postcode' => ''],
        ['addressId' => 2, 'country' => 'US', 'lines' => '90 Longitude Stret', 'locality' => 'Boston', 'postcode' => ''],
        false,
    ])]
    #[TestWith([
        'positions', ['partyId' => 7, 'since' => '', 'until' => '2020-01-01'],
        ['partyId' => 7, 'since' => '2020-01-02', 'until' => ''], false,
    ])]
    #[TestWith([
        'positions', ['partyId' => 7, 'since' => '', 'until' => '2020-01-02'],
        ['partyId' => 7, 'since' => '2020-01-02', 'until' => ''], true,
    ])]
    #[TestWith(['classification', ['system' => 'Portal', 'value' => 'a 1'], ['system' => 'portal', 'value' => 'A 1'], true])]
    #[TestWith([
        'tax-numbers', ['kind' => 'EIN', 'country' => '', 'value' => '12'],
        ['kind' => 'SSN', 'country' => '', 'value' => '12'], false,
    ])]
    public function test_which_lines_say_the_same(string $section, array $one, array $other, bool $isSame): void
    {
        $name = SectionName::from($section);
        $lines = Lines::of($name, [1 => ['a:1' => ['id' => 1] + $one], 2 => ['a:2' => ['id' => 2] + $other]]);
        $this->assertSame([null, $isSame ? 'a:1' : null], array_map(fn (Line $line) => $line->doubleOf, $lines));
        // The lines of one record are never doubles of each other.
        $lines = Lines::of($name, [1 => ['a:1' => ['id' => 1] + $one, 'a:2' => ['id' => 2] + $other]]);
        $this->assertSame([null, null], array_map(fn (Line $line) => $line->doubleOf, $lines));
    }

    public function test_a_double_leaves_what_it_says_besides(): void
    {
        $phone = fn (int $id, string $label, array $uses) => [
            'id' => $id, 'kind' => 'phone', 'read' => ['value' => '1', 'extension' => ''], 'label' => $label,
            'uses' => $uses,
        ];
        $lines = Lines::of(
            SectionName::Reach,
            [1 => ['contact:1' => $phone(1, '', ['billing'])], 2 => ['contact:2' => $phone(2, 'home', ['billing', 'reminders'])]],
        );
        $this->assertSame(['contact:1' => $phone(1, 'home', ['billing', 'reminders'])], Lines::kept($lines, []));
        $this->assertSame(
            ['contact:2' => $phone(2, 'home', ['billing', 'reminders'])],
            Lines::kept($lines, ['contact:1' => false, 'contact:2' => true]),
        );
        $this->assertSame([], Lines::kept($lines, ['contact:1' => false]));
    }

    public function test_apart_again_each_has_what_it_had_but_for_what_was_changed_since(): void
    {
        $line = fn (int $id, string $value) => ['id' => $id, 'value' => $value, 'isPrimary' => $id === 1];
        $state = fn (array $lines) => ['contactPoints' => $lines];
        $apart = new SectionApart(
            SectionName::Reach,
            [1 => $state([$line(1, 'a'), $line(2, 'b')]), 5 => $state([$line(3, 'c'), $line(4, 'd')])],
            // Line 4 was struck when they were made one.
            $state([$line(1, 'a'), $line(2, 'b'), $line(3, 'c')]),
            // Since then 2 was removed, 3 changed, 9 added.
            $state([$line(1, 'a'), $line(3, 'cc'), $line(9, 'new')]),
        );
        $this->assertSame(['contact:3' => [5], 'contact:9' => [1], 'contact:2' => [1]], $apart->changed());
        $this->assertSame([false, true], [$apart->isNew('contact:3'), $apart->isNew('contact:9')]);
        $this->assertSame(
            [1 => $state([$line(1, 'a'), $line(9, 'new')]), 5 => $state([$line(3, 'cc'), $line(4, 'd')])],
            $apart->states([]),
        );
        $this->assertSame(
            [1 => $state([$line(1, 'a'), $line(2, 'b')]), 5 => $state([$line(3, 'c'), $line(4, 'd'), $line(9, 'new')])],
            $apart->states(['contact:2' => [], 'contact:3' => [], 'contact:9' => [5]]),
        );
    }

    public function test_names_out_of_a_list_that_were_added_and_taken_away_since(): void
    {
        $state = fn (array $tags) => ['types' => [], 'tags' => $tags, 'codes' => []];
        $apart = new SectionApart(
            SectionName::Classification, [1 => $state(['a', 'b']), 5 => $state(['b', 'c'])], $state(['a', 'b', 'c']),
            $state(['a', 'c', 'new']),
        );
        $this->assertSame(['tags' => [1]], $apart->changed());
        $this->assertSame([['a', 'new'], ['b', 'c']], array_column($apart->states([]), 'tags'));
        $this->assertSame([['a', 'b'], ['c', 'new']], array_column($apart->states(['tags' => [5]]), 'tags'));
    }

    /** Without anything changed since, taking apart is the inverse of whatever was put together. */
    public function test_nothing_changed_since_is_what_it_was(): void
    {
        foreach ($this->states() as [$section, $state]) {
            $apart = new SectionApart($section, [1 => $state, 2 => $state], $state, $state);
            $this->assertSame([[], [1 => $state, 2 => $state]], [$apart->changed(), $apart->states([])]);
        }
    }

    /**
     * @param array<string, int>|null $before
     * @param array<string, int>|null $after
     * @param array<string, int>|null $now
     * @param array<string, int>|null $row
     */
    #[TestWith([['a' => 1], ['a' => 2], ['a' => 2], ['a' => 1]])]
    #[TestWith([['a' => 1, 'b' => 1], ['a' => 2, 'b' => 1], ['a' => 2, 'b' => 9], ['a' => 1, 'b' => 9]])]
    #[TestWith([['a' => 1, 'b' => 1], ['a' => 2, 'b' => 1], ['a' => 3, 'b' => 1], ['a' => 3, 'b' => 1]])]
    // Taken away by the merge; made by it; made by it and changed since; gone since; there again.
    #[TestWith([['a' => 1], null, null, ['a' => 1]])]
    #[TestWith([null, ['a' => 2], ['a' => 2], null])]
    #[TestWith([null, ['a' => 2], ['a' => 3], ['a' => 3]])]
    #[TestWith([['a' => 1], ['a' => 2], null, null])]
    #[TestWith([['a' => 1], null, ['a' => 5], ['a' => 5]])]
    public function test_a_row_is_what_it_was_but_for_what_was_changed_since(?array $before, ?array $after, ?array $now, ?array $row): void
    {
        $this->assertSame($row, RowBack::of($before, $after, $now));
    }

    /** @return list<array{SectionName, array<string, mixed>}> */
    private function states(): array
    {
        return [
            [
                SectionName::Identity,
                [
                    'prefix' => '', 'given' => 'Ada', 'middle' => '', 'family' => 'Finch', 'isInformal' => true,
                    'isDeceased' => true, 'deceasedOn' => '2020-01-01', 'birthDate' => '', 'isClient' => true,
                    'isVendor' => false,
                ],
            ],
            [
                SectionName::Identity,
                [
                    'name' => 'Brass', 'legal' => '', 'payee' => '', 'legalForm' => '', 'registrationNumber' => '',
                    'industry' => '', 'isClient' => true, 'isVendor' => false,
                ],
            ],
            [
                SectionName::Reach,
                ['contactPoints' => [['id' => 4, 'kind' => 'phone', 'label' => 'x'], ['id' => 2, 'kind' => 'email', 'label' => '']]],
            ],
            [
                SectionName::Classification,
                [
                    'types' => ['t'], 'tags' => [], 'ownerId' => 1, 'accountManagerId' => null, 'buyerId' => null,
                    'source' => '', 'language' => '', 'grade' => 3,
                    'codes' => [['id' => 1, 'system' => 's', 'value' => 'v']],
                ],
            ],
            [SectionName::Details, ['values' => [['fieldId' => 1, 'value' => 'a'], ['fieldId' => 3, 'value' => 'b']]]],
            [
                SectionName::VendorTerms,
                [
                    'listedId' => null,
                    'shorthand' => 'net 30',
                    'fields' => [['name' => 'currency', 'value' => null], ['name' => 'account-number', 'value' => '77']],
                ],
            ],
            [
                SectionName::TaxNumbers,
                [
                    'taxNumbers' => [['id' => 3, 'country' => '', 'value' => '1', 'kind' => 'EIN']], 'formOn' => '',
                    'formBy' => '', 'formFileId' => null, 'reportChoice' => 'by-rule', 'isAttorney' => false,
                ],
            ],
        ];
    }
}
