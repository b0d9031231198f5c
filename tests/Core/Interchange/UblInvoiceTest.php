<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Calendar\Day;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ReadDocument;
use Almanac\Interchange\UblInvoice;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Line;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Percent;
use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class UblInvoiceTest extends TestCase
{
    /**
     * The elements and the figures of an invoice as EN 16931-3-2 binds them to UBL 2.1 (element names from memory,
     * the parties made up).
     */
    private const INVOICE = <<<'XML'
    <?xml version="1.0" encoding="UTF-8"?>
    <Invoice xmlns="urn:oasis:names:specification:ubl:schema:xsd:Invoice-2" xmlns:cac="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2" xmlns:cbc="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2">
      <cbc:CustomizationID>urn:cen.eu:en16931:2017</cbc:CustomizationID>
      <cbc:ID>Snippet1</cbc:ID>
      <cbc:IssueDate>2026-11-13</cbc:IssueDate>
      <cbc:DueDate>2026-12-01</cbc:DueDate>
      <cbc:InvoiceTypeCode>380</cbc:InvoiceTypeCode>
      <cbc:DocumentCurrencyCode>EUR</cbc:DocumentCurrencyCode>
      <cbc:BuyerReference>0150abc</cbc:BuyerReference>
      <cac:AccountingSupplierParty><cac:Party>
        <cbc:EndpointID schemeID="0088">7300010000001</cbc:EndpointID>
        <cac:PartyName><cbc:Name>Zahnrad Lindqvist</cbc:Name></cac:PartyName>
        <cac:PostalAddress><cac:Country><cbc:IdentificationCode>DE</cbc:IdentificationCode></cac:Country></cac:PostalAddress>
        <cac:PartyTaxScheme><cbc:CompanyID>DE999999995</cbc:CompanyID><cac:TaxScheme><cbc:ID>VAT</cbc:ID></cac:TaxScheme></cac:PartyTaxScheme>
        <cac:PartyLegalEntity><cbc:RegistrationName>Zahnrad Lindqvist GmbH</cbc:RegistrationName></cac:PartyLegalEntity>
      </cac:Party></cac:AccountingSupplierParty>
      <cac:AllowanceCharge><cbc:ChargeIndicator>true</cbc:ChargeIndicator><cbc:AllowanceChargeReason>Insurance</cbc:AllowanceChargeReason><cbc:Amount currencyID="EUR">25</cbc:Amount>
        <cac:TaxCategory><cbc:ID>S</cbc:ID><cbc:Percent>25.0</cbc:Percent><cac:TaxScheme><cbc:ID>VAT</cbc:ID></cac:TaxScheme></cac:TaxCategory></cac:AllowanceCharge>
      <cac:LegalMonetaryTotal>
        <cbc:LineExtensionAmount currencyID="EUR">1300</cbc:LineExtensionAmount><cbc:TaxExclusiveAmount currencyID="EUR">1325</cbc:TaxExclusiveAmount>
        <cbc:TaxInclusiveAmount currencyID="EUR">1656.25</cbc:TaxInclusiveAmount><cbc:ChargeTotalAmount currencyID="EUR">25</cbc:ChargeTotalAmount><cbc:PayableAmount currencyID="EUR">1656.25</cbc:PayableAmount>
      </cac:LegalMonetaryTotal>
      <cac:InvoiceLine><cbc:ID>1</cbc:ID><cbc:InvoicedQuantity unitCode="DAY">7</cbc:InvoicedQuantity><cbc:LineExtensionAmount currencyID="EUR">2800</cbc:LineExtensionAmount>
        <cac:Item><cbc:Description>Cutting</cbc:Description><cbc:Name>Wheels</cbc:Name><cac:ClassifiedTaxCategory><cbc:ID>S</cbc:ID><cbc:Percent>25.0</cbc:Percent></cac:ClassifiedTaxCategory></cac:Item>
        <cac:Price><cbc:PriceAmount currencyID="EUR">400</cbc:PriceAmount></cac:Price></cac:InvoiceLine>
      <cac:InvoiceLine><cbc:ID>2</cbc:ID><cbc:InvoicedQuantity unitCode="DAY">-3</cbc:InvoicedQuantity><cbc:LineExtensionAmount currencyID="EUR">-1500</cbc:LineExtensionAmount>
        <cac:Item><cbc:Name>Pinions, returned</cbc:Name><cac:ClassifiedTaxCategory><cbc:ID>S</cbc:ID><cbc:Percent>25.0</cbc:Percent></cac:ClassifiedTaxCategory></cac:Item>
        <cac:Price><cbc:PriceAmount currencyID="EUR">500</cbc:PriceAmount></cac:Price></cac:InvoiceLine>
    </Invoice>
    XML;

    public function test_an_invoice_is_read_with_its_charge_and_what_was_returned(): void
    {
        $read = UblInvoice::read(self::INVOICE);
        $this->assertSame(
            ['bill', 'Snippet1', '2026-11-13', '2026-12-01', 'EUR', '0150abc'],
            [$read->kind->value, $read->number, $read->date->toIso(), $read->due?->toIso(), $read->currency, $read->reference],
        );
        $this->assertSame('Zahnrad Lindqvist GmbH', $read->partyName);
        $this->assertSame(['DE999999995', '7300010000001', 'Zahnrad Lindqvist'], $read->partyNumbers);
        $this->assertSame(
            ['7 Wheels 400', '-3 Pinions, returned 500', '1 Insurance 25'],
            array_map(fn (Line $line) => "{$line->quantity} {$line->text} {$line->price}", $read->lines),
        );
        $this->assertSame(
            ['1325.00', '331.25', '1656.25'],
            [$read->totals()->net->toDecimal(), $read->totals()->tax->toDecimal(), $read->totals()->gross->toDecimal()],
        );
    }

    public function test_a_price_for_a_hundred_and_a_discount_of_the_line(): void
    {
        $xml = str_replace(
            ['<cbc:PriceAmount currencyID="EUR">400</cbc:PriceAmount>', '>500</cbc:PriceAmount>'],
            ['<cbc:PriceAmount currencyID="EUR">40000</cbc:PriceAmount><cbc:BaseQuantity>100</cbc:BaseQuantity>', '>490</cbc:PriceAmount>'],
            self::INVOICE,
        );
        $lines = UblInvoice::read($xml)->lines;
        $this->assertSame('400', (string) $lines[0]->price);
        // The line's own amount is what counts.
        $this->assertSame(['1', '-1500'], [(string) $lines[1]->quantity, (string) $lines[1]->price]);
    }

    /** @param  non-empty-string  $from */
    #[TestWith(['<cbc:ID>Snippet1</cbc:ID>', '', 'The invoice has no number.'])]
    #[TestWith(['<cbc:IssueDate>2026-11-13</cbc:IssueDate>', '', 'The invoice has no date.'])]
    #[TestWith(['<cbc:DocumentCurrencyCode>EUR</cbc:DocumentCurrencyCode>', '', 'The invoice has no currency.'])]
    #[
        TestWith([
            '1656.25</cbc:TaxInclusiveAmount>',
            '1700.00</cbc:TaxInclusiveAmount>',
            'The invoice says EUR 1,700.00, and its lines come to EUR 1,656.25. Ask whoever sent it.',
        ]),
    ]
    #[TestWith(['</Invoice>', '', 'This invoice cannot be read: it is not well-formed XML.'])]
    #[TestWith(['<cbc:IssueDate>2026-11-13', '<cbc:IssueDate>2026-02-30', 'There is no 30 February: February 2026 has 28 days.'])]
    public function test_what_is_missing_or_wrong_is_told(string $from, string $to, string $message): void
    {
        $this->expectExceptionMessage($message);
        UblInvoice::read(str_replace($from, $to, self::INVOICE));
    }

    public function test_no_document_type_is_let_in(): void
    {
        $this->expectException(InterchangeRefused::class);
        foreach (['UTF-7', 'UTF-16', 'ebcdic-cp-us'] as $encoding) {
            try {
                // In UTF-7 the document type below is not seen by whoever looks for its letters.
                UblInvoice::read(
                    str_replace(
                        ['<Invoice ', '?>'],
                        ['+ADwAIQ-DOCTYPE Invoice [+ADwAIQ-ENTITY x "y"+AD4]+AD4-<Invoice ', " encoding=\"$encoding\"?>"],
                        '<?xml version="1.0"?>'.substr(self::INVOICE, (int) strpos(self::INVOICE, '<Invoice')),
                    ),
                );
                $this->fail("$encoding was read.");
            } catch (InterchangeRefused $refused) {
                $this->assertStringContainsString('not well-formed', $refused->getMessage());
            }
        }
        UblInvoice::read(str_replace('<Invoice ', '<!DOCTYPE Invoice [<!ENTITY x SYSTEM "file:///etc/passwd">]><Invoice ', self::INVOICE));
    }

    public function test_another_document_is_named(): void
    {
        $this->expectExceptionMessage('This is not a UBL invoice or credit note: its root element is “Order”.');
        UblInvoice::read('<Order xmlns="urn:oasis:names:specification:ubl:schema:xsd:Order-2"/>');
    }

    public function test_what_is_written_is_read_back_equal(): void
    {
        mt_srand(21);
        for ($n = 0; $n < 200; $n++) {
            $isCredit = $n % 3 === 0;
            $lines = array_map(
                fn (int $at) => Line::of(
                    "Line $at & <more>",
                    BigDecimal::of(mt_rand(1, 900))->dividedBy(100, 2),
                    BigDecimal::of(mt_rand(1, 90000))->dividedBy(100, 2),
                    Percent::of(0),
                    Percent::of([0, 7, 19][mt_rand(0, 2)]),
                ),
                range(1, mt_rand(1, 6)),
            );
            $document = new ReadDocument(
                $isCredit ? DocumentKind::CreditReceived : DocumentKind::Bill,
                "N-$n",
                Day::of(2026, 1, 1)->plusDays($n),
                $isCredit ? null : Day::of(2026, 3, 1)->plusDays($n),
                'EUR',
                'Søren & Søn <ApS>',
                [],
                'ref',
                TaxTreatment::Exclusive,
                $lines,
            );
            $read = UblInvoice::read(
                UblInvoice::write(
                    $document,
                    ['name' => $document->partyName, 'taxNumber' => 'DK13585628', 'country' => 'DK'],
                    ['name' => 'Orrery & Vane', 'taxNumber' => '', 'country' => 'US'],
                ),
            );
            $this->assertSame(
                [$document->number, $document->date->toIso(), $document->due?->toIso(), 'Søren & Søn <ApS>', ['DK13585628'], 'ref'],
                [$read->number, $read->date->toIso(), $read->due?->toIso(), $read->partyName, $read->partyNumbers, $read->reference],
            );
            $this->assertSame($document->kind, $read->kind);
            $this->assertTrue($document->totals()->gross->equals($read->totals()->gross));
            $this->assertSame(
                array_map(fn (Line $line) => $line->text.$line->amount('EUR')->toDecimal(), $lines),
                array_map(fn (Line $line) => $line->text.$line->amount('EUR')->toDecimal(), $read->lines),
            );
        }
    }
}
