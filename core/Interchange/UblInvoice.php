<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Almanac\Files\FileType;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Line;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Money\TypedNumber;
use Almanac\Xml\XmlText;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use DOMDocument;
use DOMElement;
use DOMXPath;

/**
 * An invoice or a credit note in the XML of OASIS UBL 2.1, with the elements that EN 16931 binds to
 * it (EN 16931-3-2). What comes in is a bill of ours; what the office writes goes out.
 */
final class UblInvoice
{
    private const BASIC = 'urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2';

    private const AGGREGATE = 'urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2';

    private const INVOICE = 'urn:oasis:names:specification:ubl:schema:xsd:Invoice-2';

    private const CREDIT_NOTE = 'urn:oasis:names:specification:ubl:schema:xsd:CreditNote-2';

    private const PRICE_SCALE = 6;

    /** @throws InterchangeRefused when it is not well formed, no invoice, lacks something, or does not add up */
    public static function read(string $xml): ReadDocument
    {
        $document = XmlText::document($xml, FileType::MOST_BYTES) ?? throw InterchangeRefused::notXml();
        $root = $document->documentElement ?? throw InterchangeRefused::notXml();
        $isCredit = $root->localName === 'CreditNote' && $root->namespaceURI === self::CREDIT_NOTE;
        if (! $isCredit && ! ($root->localName === 'Invoice' && $root->namespaceURI === self::INVOICE)) {
            throw InterchangeRefused::notAnInvoice((string) $root->localName);
        }
        $path = new DOMXPath($document);
        $path->registerNamespace('b', self::BASIC);
        $path->registerNamespace('a', self::AGGREGATE);
        $text = fn (string $query, ?DOMElement $in = null): string => trim((string) $path->evaluate("string($query)", $in ?? $root));

        $currency = $text('b:DocumentCurrencyCode') ?: throw InterchangeRefused::lacks('currency');
        $lines = [];
        foreach ($path->query($isCredit ? 'a:CreditNoteLine' : 'a:InvoiceLine', $root) ?: [] as $element) {
            if ($element instanceof DOMElement) {
                $lines[] = self::line($element, $text, $isCredit);
            }
        }
        foreach ($path->query('a:AllowanceCharge', $root) ?: [] as $element) {
            if ($element instanceof DOMElement) {
                $sign = $text('b:ChargeIndicator', $element) === 'true' ? 1 : -1;
                $lines[] = Line::of(
                    $text('b:AllowanceChargeReason', $element) ?: ($sign > 0 ? 'Charge' : 'Allowance'),
                    BigDecimal::of($sign),
                    Line::readPlain($text('b:Amount', $element)),
                    Percent::none(),
                    Percent::of($text('a:TaxCategory/b:Percent', $element) ?: '0'),
                );
            }
        }
        $supplier = 'a:AccountingSupplierParty/a:Party';
        $due = $text('b:DueDate') ?: $text('a:PaymentMeans/b:PaymentDueDate');
        $read = new ReadDocument(
            $isCredit ? DocumentKind::CreditReceived : DocumentKind::Bill,
            $text('b:ID') ?: throw InterchangeRefused::lacks('number'),
            Day::fromIso($text('b:IssueDate') ?: throw InterchangeRefused::lacks('date')),
            $due === '' ? null : Day::fromIso($due),
            $currency,
            $text("$supplier/a:PartyLegalEntity/b:RegistrationName") ?:
            $text("$supplier/a:PartyName/b:Name") ?:
            throw InterchangeRefused::lacks('seller'),
            array_values(
                array_filter([
                    $text("$supplier/a:PartyTaxScheme/b:CompanyID"),
                    $text("$supplier/a:PartyLegalEntity/b:CompanyID"),
                    $text("$supplier/b:EndpointID"),
                    $text("$supplier/a:PartyIdentification/b:ID"),
                    $text("$supplier/a:PartyName/b:Name"),
                ]),
            ),
            $text('b:BuyerReference') ?: $text('a:OrderReference/b:ID'),
            TaxTreatment::Exclusive,
            $lines === [] ? throw InterchangeRefused::lacks('line') : $lines,
        );
        self::mustAddUp($read, $text('a:LegalMonetaryTotal/b:TaxInclusiveAmount'));

        return $read;
    }

    /**
     * @param array{name: string, taxNumber: string, country: string} $seller
     * @param array{name: string, taxNumber: string, country: string} $buyer
     */
    public static function write(ReadDocument $document, array $seller, array $buyer): string
    {
        $isCredit = $document->kind->isCredit();
        $xml = new DOMDocument('1.0', 'UTF-8');
        $xml->formatOutput = true;
        $root = $xml->appendChild(
            $xml->createElementNS($isCredit ? self::CREDIT_NOTE : self::INVOICE, $isCredit ? 'CreditNote' : 'Invoice'),
        );
        $root instanceof DOMElement || throw new \LogicException('What was created is an element.');
        $put = function (DOMElement $in, string $name, string $value, array $attributes = []) use ($xml): void {
            $element = $xml->createElementNS(self::BASIC, "cbc:$name");
            $element->appendChild($xml->createTextNode($value));
            foreach ($attributes as $key => $attribute) {
                $element->setAttribute($key, $attribute);
            }
            $in->appendChild($element);
        };
        $open = function (DOMElement $in, string $name) use ($xml): DOMElement {
            $element = $xml->createElementNS(self::AGGREGATE, "cac:$name");
            $in->appendChild($element);

            return $element;
        };
        $money = fn (DOMElement $in, string $name, Money $amount) => $put($in, $name, $amount->toDecimal(), [
            'currencyID' => $amount->currency,
        ]);
        $category = function (DOMElement $in, string $name, Percent $rate) use ($put, $open): void {
            $element = $open($in, $name);
            $put($element, 'ID', $rate->isZero() ? 'Z' : 'S');
            $put($element, 'Percent', (string) $rate);
            $put($open($element, 'TaxScheme'), 'ID', 'VAT');
        };

        $put($root, 'CustomizationID', 'urn:cen.eu:en16931:2017');
        $put($root, 'ID', $document->number);
        $put($root, 'IssueDate', $document->date->toIso());
        if ($document->due !== null && ! $isCredit) {
            $put($root, 'DueDate', $document->due->toIso());
        }
        $put($root, $isCredit ? 'CreditNoteTypeCode' : 'InvoiceTypeCode', $isCredit ? '381' : '380');
        $put($root, 'DocumentCurrencyCode', $document->currency);
        if ($document->reference !== '') {
            $put($root, 'BuyerReference', $document->reference);
        }
        foreach (['AccountingSupplierParty' => $seller, 'AccountingCustomerParty' => $buyer] as $role => $party) {
            $element = $open($open($root, $role), 'Party');
            $put($open($open($element, 'PostalAddress'), 'Country'), 'IdentificationCode', $party['country']);
            if ($party['taxNumber'] !== '') {
                $scheme = $open($element, 'PartyTaxScheme');
                $put($scheme, 'CompanyID', $party['taxNumber']);
                $put($open($scheme, 'TaxScheme'), 'ID', 'VAT');
            }
            $put($open($element, 'PartyLegalEntity'), 'RegistrationName', $party['name']);
        }
        $totals = $document->totals();
        $tax = $open($root, 'TaxTotal');
        $money($tax, 'TaxAmount', $totals->tax);
        foreach ($totals->groups as $group) {
            $subtotal = $open($tax, 'TaxSubtotal');
            $money($subtotal, 'TaxableAmount', $group->taxable);
            $money($subtotal, 'TaxAmount', $group->tax);
            $category($subtotal, 'TaxCategory', $group->rate);
        }
        $sum = $open($root, 'LegalMonetaryTotal');
        $money($sum, 'LineExtensionAmount', $totals->net);
        $money($sum, 'TaxExclusiveAmount', $totals->net);
        $money($sum, 'TaxInclusiveAmount', $totals->gross);
        $money($sum, 'PayableAmount', $totals->gross);
        foreach ($document->lines as $index => $line) {
            $element = $open($root, $isCredit ? 'CreditNoteLine' : 'InvoiceLine');
            $put($element, 'ID', (string) ($index + 1));
            $put($element, $isCredit ? 'CreditedQuantity' : 'InvoicedQuantity', (string) $line->quantity, ['unitCode' => 'C62']);
            $money($element, 'LineExtensionAmount', $line->amount($document->currency));
            $item = $open($element, 'Item');
            $put($item, 'Name', $line->text);
            $category($item, 'ClassifiedTaxCategory', $line->tax);
            $price = $line->price
                ->multipliedBy(BigDecimal::of(100)->minus($line->discount->value))
                ->dividedBy(100, self::PRICE_SCALE, RoundingMode::HALF_UP)
                ->stripTrailingZeros();
            $put($open($element, 'Price'), 'PriceAmount', (string) ($price->getScale() < 0 ? $price->toScale(0) : $price), [
                'currencyID' => $document->currency,
            ]);
        }

        return (string) $xml->saveXML();
    }

    /** @param  \Closure(string, DOMElement|null): string  $text */
    private static function line(DOMElement $element, \Closure $text, bool $isCredit): Line
    {
        $amount = Line::readPlain($text('b:LineExtensionAmount', $element));
        $quantity = Line::readPlain($text($isCredit ? 'b:CreditedQuantity' : 'b:InvoicedQuantity', $element) ?: '1');
        $base = $text('a:Price/b:BaseQuantity', $element);
        $per = $base === '' ? BigDecimal::one() : Line::readPlain($base);
        if (! $per->isPositive()) {
            throw InterchangeRefused::baseQuantity($base);
        }
        $price = Line::readPlain($text('a:Price/b:PriceAmount', $element) ?: '0')
            ->dividedBy($per, self::PRICE_SCALE, RoundingMode::HALF_UP);
        $name = $text('a:Item/b:Name', $element) ?: $text('a:Item/b:Description', $element) ?: 'Line '.$text('b:ID', $element);
        $tax = Percent::of($text('a:Item/a:ClassifiedTaxCategory/b:Percent', $element) ?: '0');
        // Allowances of the line, or a price of many decimals: then the line's own amount is what counts.
        $fits = $quantity->multipliedBy($price)->toScale(2, RoundingMode::HALF_UP)->isEqualTo($amount);

        return $fits
            ? Line::of($name, $quantity, $price->stripTrailingZeros(), Percent::none(), $tax)
            : Line::of($name, BigDecimal::one(), $amount, Percent::none(), $tax);
    }

    private static function mustAddUp(ReadDocument $read, string $said): void
    {
        if ($said === '') {
            return;
        }
        $total = Money::rounded(TypedNumber::plain($said), $read->currency);
        $found = $read->totals()->gross;
        // The standard's own rules allow a unit of the last decimal between a sum and its parts.
        if (abs($found->minus($total)->minor) > 1) {
            throw InterchangeRefused::doesNotAddUp($total->toText(), $found->toText());
        }
    }
}
