<?php

declare(strict_types=1);

namespace Tests\Core\Readiness;

use Almanac\Addresses\PostalAddress;
use Almanac\Cautions\CautionUse;
use Almanac\Readiness\Check;
use Almanac\Readiness\Facts;
use Almanac\Readiness\Purpose;
use Almanac\Readiness\Readiness;
use Almanac\Records\PartyKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReadinessTest extends TestCase
{
    public function test_a_complete_record_is_ready_for_all_that_applies(): void
    {
        $readiness = Readiness::of($this->facts());
        $this->assertSame(
            [Purpose::WriteTo, Purpose::Bill, Purpose::Pay, Purpose::TaxReport],
            array_map(fn (Readiness $one) => $one->purpose, $readiness),
        );
        foreach ($readiness as $one) {
            $this->assertSame(count($one->checks), $one->passed(), $one->purpose->value);
        }
    }

    public function test_only_clients_are_billed_and_only_vendors_paid(): void
    {
        $this->assertSame([Purpose::WriteTo], array_map(
            fn (Readiness $one) => $one->purpose,
            Readiness::of($this->facts(['isClient' => false, 'isVendor' => false])),
        ));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> what differs, and the gaps: "purpose: state: todo -> section" */
    public static function gaps(): iterable
    {
        $incomplete = PostalAddress::of('US', '', 'Putney', 'VT', '');
        $archived = 'missing: Restore the record first. -> identity';
        yield 'no title' => [
            ['hasTitle' => false],
            ['write-to: doubtful: Add what stands before the name, such as Ms., or say that you are on first-name terms. -> identity'],
        ];
        yield 'no title, but on first-name terms' => [['hasTitle' => false, 'isInformal' => true], []];
        yield 'no title, but a company' => [['hasTitle' => false, 'kind' => PartyKind::Company], []];
        yield 'no postal address' => [
            ['postal' => null],
            [
                'write-to: missing: Add the address that letters go to. -> addresses',
                'tax-report: missing: Add the address that the form goes to. -> addresses',
            ],
        ];
        yield 'no tax number' => [['hasTaxNumber' => false], ['tax-report: missing: Ask for the tax number, and keep it. -> tax-numbers']];
        yield 'no tax number, but not reported' => [['hasTaxNumber' => false, 'isReported' => false], []];
        yield 'no tax number, but a client only' => [['hasTaxNumber' => false, 'isVendor' => false], []];
        yield 'an incomplete one' => [
            ['postal' => $incomplete],
            [
                'write-to: doubtful: Complete the address: street, ZIP code missing. -> addresses',
                'tax-report: doubtful: Complete the address: street, ZIP code missing. -> addresses',
            ],
        ];
        yield 'deceased' => [
            ['isDeceased' => true],
            ['write-to: missing: Add the executor, the next of kin or the spouse as a relation: letters go to them. -> relations'],
        ];
        yield 'deceased, with an executor' => [['isDeceased' => true, 'hasStandIn' => true], []];
        yield 'deceased, with an executor whose address is not known' => [
            ['isDeceased' => true, 'hasStandIn' => true, 'postal' => null, 'isReported' => false],
            ['write-to: missing: Add the address that letters go to. -> addresses'],
        ];
        yield 'archived' => [['isArchived' => true], ["write-to: $archived", "bill: $archived", "pay: $archived", "tax-report: $archived"]];
        yield 'no terms' => [
            ['hasClientTerms' => false, 'hasVendorTerms' => false],
            [
                'bill: missing: Set the terms on which we bill them. -> client-terms',
                'pay: missing: Set the terms on which we pay them. -> vendor-terms',
            ],
        ];
        yield 'no email, but a billing address' => [['hasEmail' => false], []];
        yield 'no way to deliver' => [
            ['hasEmail' => false, 'billing' => null],
            ['bill: missing: Add an email for invoices, or a billing address. -> reach'],
        ];
        yield 'no remit-to' => [
            ['remitTo' => null],
            ['pay: missing: Add bank details, or mark the address that payments go to as remit-to. -> addresses'],
        ];
        yield 'no remit-to, but bank details' => [['remitTo' => null, 'hasBankDetails' => true], []];
        yield 'something on hold' => [['isOnHold' => true], ['pay: missing: Let a second person confirm the new bank details. -> bank']];
        yield 'no payee name' => [['hasPayee' => false], ['pay: missing: Say under which name they are paid. -> identity']];
        yield 'no form' => [['hasForm' => false], ['tax-report: missing: Ask for form W-9, and say when it came in. -> tax-numbers']];
        yield 'tax unknown' => [['hasTreatment' => false], ['bill: missing: Say whether amounts include tax. -> client-terms']];
        yield 'over the limit' => [
            ['isOverLimit' => true],
            ['bill: missing: They owe more than their credit limit. Ask for payment, or raise it. -> client-terms'],
        ];
        yield 'a stop when paying' => [
            ['stops' => [CautionUse::Paying]],
            ['pay: missing: Settle what the caution is about, then lift it. -> identity'],
        ];
        yield 'a stop whatever for' => [
            ['stops' => [CautionUse::Any]],
            array_map(fn (string $purpose) => "$purpose: missing: Settle what the caution is about, then lift it. -> identity", [
                'write-to',
                'bill',
                'pay',
            ]),
        ];
    }

    /**
     * @param array<string, mixed> $different
     * @param list<string> $gaps
     */
    #[DataProvider('gaps')]
    public function test_each_gap_says_what_to_do_and_where(array $different, array $gaps): void
    {
        $found = [];
        foreach (Readiness::of($this->facts($different)) as $one) {
            foreach ($one->gaps() as $gap) {
                $found[] = "{$one->purpose->value}: {$gap->state->value}: {$gap->todo} -> {$gap->section}";
            }
            $this->assertSame(
                count($one->checks),
                $one->passed() + count(array_filter($one->checks, fn (Check $check) => $check->isGap())),
            );
        }
        $this->assertSame($gaps, $found);
    }

    /** @param  array<string, mixed>  $different */
    private function facts(array $different = []): Facts
    {
        $address = PostalAddress::of('US', '14 Meridian Lane', 'Brattleboro', 'VT', '05301');

        return new Facts(
            ...$different + [
                'kind' => PartyKind::Person,
                'hasTitle' => true,
                'isInformal' => false,
                'isDeceased' => false,
                'isArchived' => false,
                'isClient' => true,
                'isVendor' => true,
                'hasClientTerms' => true,
                'hasVendorTerms' => true,
                'hasEmail' => true,
                'postal' => $address,
                'billing' => $address,
                'remitTo' => $address,
                'stops' => [],
                'isReported' => true,
                'hasTaxNumber' => true,
                'hasForm' => true,
            ],
        );
    }
}
