<?php

declare(strict_types=1);

namespace Almanac\Readiness;

use Almanac\Addresses\AddressPart;
use Almanac\Addresses\PostalAddress;
use Almanac\Cautions\CautionUse;
use Almanac\Records\PartyKind;

/** What a record still lacks for a purpose. The score is passed over applicable. */
final readonly class Readiness
{
    /** @param  non-empty-list<Check>  $checks */
    private function __construct(public Purpose $purpose, public array $checks)
    {
    }

    /**
     * For every purpose that applies: anybody may be written to, clients are billed, vendors paid and, where the law asks for it, reported.
     *
     * @return list<self>
     */
    public static function of(Facts $facts): array
    {
        return [
            new self(Purpose::WriteTo, [...self::writeTo($facts), ...self::details($facts, Purpose::WriteTo)]),
            ...$facts->isClient ? [new self(Purpose::Bill, [...self::bill($facts), ...self::details($facts, Purpose::Bill)])] : [],
            ...$facts->isVendor ? [new self(Purpose::Pay, [...self::pay($facts), ...self::details($facts, Purpose::Pay)])] : [],
            ...$facts->isVendor && $facts->isReported
                ? [new self(Purpose::TaxReport, [...self::taxReport($facts), ...self::details($facts, Purpose::TaxReport)])]
                : [],
        ];
    }

    public function passed(): int
    {
        return count($this->checks) - count($this->gaps());
    }

    /** @return list<Check> */
    public function gaps(): array
    {
        return array_values(array_filter($this->checks, fn (Check $check) => $check->isGap()));
    }

    /** @return non-empty-list<Check> */
    private static function writeTo(Facts $facts): array
    {
        return [
            $facts->kind === PartyKind::Company || $facts->hasTitle || $facts->isInformal
                ? Check::that(true, 'a salutation', '', 'identity')
                : Check::doubtful(
                    'a salutation',
                    'Add what stands before the name, such as Ms., or say that you are on first-name terms.',
                    'identity',
                ),
            self::address($facts->postal, 'a postal address', 'Add the address that letters go to.'),
            Check::that(
                ! $facts->isDeceased || $facts->hasStandIn,
                'somebody to write to',
                'Add the executor, the next of kin or the spouse as a relation: letters go to them.',
                'relations',
            ),
            Check::that(! $facts->isArchived, 'in use', 'Restore the record first.', 'identity'),
            self::notStopped($facts, CautionUse::Writing),
        ];
    }

    /** @return non-empty-list<Check> */
    private static function bill(Facts $facts): array
    {
        return [
            Check::that($facts->hasClientTerms, 'payment terms', 'Set the terms on which we bill them.', 'client-terms'),
            $facts->hasEmail
                ? Check::that(true, 'a way to deliver', '', 'reach')
                : self::address($facts->billing, 'a way to deliver', 'Add an email for invoices, or a billing address.', 'reach'),
            Check::that($facts->hasTreatment, 'tax on amounts', 'Say whether amounts include tax.', 'client-terms'),
            Check::that(
                ! $facts->isOverLimit,
                'within the credit limit',
                'They owe more than their credit limit. Ask for payment, or raise it.',
                'client-terms',
            ),
            Check::that(! $facts->isArchived, 'in use', 'Restore the record first.', 'identity'),
            self::notStopped($facts, CautionUse::Billing),
        ];
    }

    /** @return non-empty-list<Check> */
    private static function pay(Facts $facts): array
    {
        return [
            Check::that($facts->hasVendorTerms, 'payment terms', 'Set the terms on which we pay them.', 'vendor-terms'),
            Check::that($facts->hasPayee, 'a payee name', 'Say under which name they are paid.', 'identity'),
            $facts->hasBankDetails
                ? Check::that(true, 'a way to pay', '', 'bank')
                : self::address($facts->remitTo, 'a way to pay', 'Add bank details, or mark the address that payments go to as remit-to.'),
            Check::that(! $facts->isOnHold, 'nothing on hold', 'Let a second person confirm the new bank details.', 'bank'),
            Check::that(! $facts->isArchived, 'in use', 'Restore the record first.', 'identity'),
            self::notStopped($facts, CautionUse::Paying),
        ];
    }

    /** @return non-empty-list<Check> */
    private static function taxReport(Facts $facts): array
    {
        return [
            Check::that($facts->hasTaxNumber, 'a tax number', 'Ask for the tax number, and keep it.', 'tax-numbers'),
            Check::that($facts->hasForm, 'form W-9', 'Ask for form W-9, and say when it came in.', 'tax-numbers'),
            self::address($facts->postal, 'an address', 'Add the address that the form goes to.'),
            Check::that(! $facts->isArchived, 'in use', 'Restore the record first.', 'identity'),
        ];
    }

    /** @return list<Check> what the office's own detail sheets ask for */
    private static function details(Facts $facts, Purpose $purpose): array
    {
        return array_map(
            fn (string $field) => Check::that(false, $field, "Fill in “{$field}”.", 'details'),
            $facts->missingDetails[$purpose->value] ?? [],
        );
    }

    private static function address(?PostalAddress $address, string $name, string $todo, string $section = 'addresses'): Check
    {
        if ($address === null) {
            return Check::that(false, $name, $todo, $section);
        }
        $missing = $address->missing();

        return $missing === []
            ? Check::that(true, $name, '', 'addresses')
            : Check::doubtful($name, 'Complete the address: '.implode(', ', array_map(
                fn (AddressPart $part) => $address->layout()->nameOf($part),
                $missing,
            )).' missing.', 'addresses');
    }

    private static function notStopped(Facts $facts, CautionUse $use): Check
    {
        return Check::that(! $facts->isStoppedFor($use), 'no stop', 'Settle what the caution is about, then lift it.', 'identity');
    }
}
