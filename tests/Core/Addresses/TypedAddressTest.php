<?php

declare(strict_types=1);

namespace Tests\Core\Addresses;

use Almanac\Addresses\AddressPart;
use Almanac\Addresses\Formatter;
use Almanac\Addresses\PostalAddress;
use Almanac\Addresses\Recipient;
use Almanac\Addresses\TypedAddress;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TypedAddressTest extends TestCase
{
    /**
     * @return iterable<array{
     *     string, array{string, string, string, string, string}, 2?: list<string>,
     * }> typed; country, street, locality, region, postcode; doubtful
     */
    public static function addresses(): iterable
    {
        yield ["14 Meridian Lane\nSouth Dome\nBrattleboro, VT 05301", ['US', "14 Meridian Lane\nSouth Dome", 'Brattleboro', 'VT', '05301']];
        yield [
            '14 Meridian Lane, South Dome, Brattleboro, Vermont 05301-1234',
            ['US', "14 Meridian Lane\nSouth Dome", 'Brattleboro', 'VT', '05301-1234'],
        ];
        yield ['14 Meridian Lane, West Brattleboro, vt, 05301, USA', ['US', '14 Meridian Lane', 'West Brattleboro', 'VT', '05301']];
        yield [
            "Tarn & Whitlow\nOld Bell Yard\n5 Foundry Row\nLONDON\nE1 1AA\nUnited Kingdom",
            ['GB', "Old Bell Yard\n5 Foundry Row", 'LONDON', '', 'E1 1AA'],
        ];
        yield ['5 Foundry Row, London E11AA', ['GB', '5 Foundry Row', 'London', '', 'E1 1AA'], ['country']];
        yield ["Räderstraße 12\n10115 Berlin\nDeutschland", ['DE', 'Räderstraße 12', 'Berlin', '', '10115']];
        yield ['Zifferweg 3, 8001 Zürich, Schweiz', ['CH', 'Zifferweg 3', 'Zürich', '', '8001']];
        yield ['480 Tannery Row, Ottawa, Ontario K1A0B1', ['CA', '480 Tannery Row', 'Ottawa', 'ON', 'K1A 0B1'], ['country']];
        yield ["1 rue de la Paix\n75002 PARIS\nFrance", ['FR', '1 rue de la Paix', 'PARIS', '', '75002']];
        yield ["Keizersgracht 1\n1015cn Amsterdam\nNederland", ['NL', 'Keizersgracht 1', 'Amsterdam', '', '1015 CN']];
        yield ["1 Kent St\nSydney NSW 2000\nAustralia", ['AU', '1 Kent St', 'Sydney', 'NSW', '2000']];
        yield ["1 Queen Street\nAuckland 1010\nNew Zealand", ['NZ', '1 Queen Street', 'Auckland', '', '1010']];
        yield ["1 Main Street\nTralee\nCo. Kerry\nV92 X2X2\nIreland", ['IE', '1 Main Street', 'Tralee', 'Co. Kerry', 'V92 X2X2']];
        yield ["1 Main Street\nTralee\nIreland", ['IE', '1 Main Street', 'Tralee', '', '']];
        yield ["Via Roma 1\n00184 Roma\nItaly", ['IT', 'Via Roma 1', 'Roma', '', '00184']];
        yield ['2 New Mill Lane, Grafton, VT 0514', ['US', "2 New Mill Lane\nGrafton\nVT 0514", '', '', ''], ['locality', 'postcode']];
        yield ['12 Harbour Road', ['US', '12 Harbour Road', '', '', ''], ['locality', 'postcode']];
        yield ['Brattleboro, VT 05301', ['US', '', 'Brattleboro', 'VT', '05301'], ['lines']];
        yield ['', ['US', '', '', '', ''], ['locality', 'postcode']];
    }

    /**
     * @param array{string, string, string, string, string} $expected
     * @param list<string> $doubtful
     */
    #[DataProvider('addresses')]
    public function test_a_pasted_address_is_taken_apart(string $typed, array $expected, array $doubtful = []): void
    {
        $read = TypedAddress::read($typed, 'US', ['Tarn & Whitlow']);
        $this->assertSame($expected, [$read->country, $read->lines, $read->locality, $read->region, $read->postcode]);
        $this->assertSame($doubtful, array_map(fn (AddressPart $part) => $part->value, $read->doubtful));
    }

    #[DataProvider('addresses')]
    public function test_what_is_laid_out_is_read_as_the_same(string $typed): void
    {
        $read = TypedAddress::read($typed, 'US', ['Tarn & Whitlow']);
        if ($read->doubtful !== [] && $read->doubtful !== [AddressPart::Country]) {
            $this->assertNotSame([], $read->doubtful, 'nothing to lay out');

            return;
        }
        $address = PostalAddress::of($read->country, $read->lines, $read->locality, $read->region, $read->postcode);
        $again = TypedAddress::read(implode("\n", Formatter::onScreen($address, 'US')), 'US');
        $this->assertTrue(
            $address->equals(PostalAddress::of($again->country, $again->lines, $again->locality, $again->region, $again->postcode)),
        );
    }

    public function test_eight_lines_of_forty_one_characters_print_whole(): void
    {
        $line = fn (string $sign) => str_repeat($sign, 41);
        $address = PostalAddress::of('US', implode("\n", array_map($line, ['A', 'B', 'C', 'D', 'E'])), 'Brattleboro', 'VT', '05301');
        $envelope = Formatter::onEnvelope($address, Recipient::organisation($line('W'))->attention('Accounts'), 'US');
        $this->assertCount(8, $envelope);
        $this->assertTrue(Formatter::fits($envelope));
        $this->assertSame($envelope, Formatter::onLabel($envelope));
    }

    public function test_a_long_line_goes_on_in_the_next_of_a_label(): void
    {
        $label = Formatter::onLabel(['The Society for the Preservation of Tower Clocks and Chimes', str_repeat('x', 50), 'Brattleboro']);
        $this->assertSame(
            ['The Society for the Preservation of Tower', 'Clocks and Chimes', str_repeat('x', 41), str_repeat('x', 9), 'Brattleboro'],
            $label,
        );
    }

    public function test_attention_and_care_stand_where_the_post_looks_for_them(): void
    {
        $recipient = Recipient::person('Mr. Silas Wren', 'Brass Lantern Foundry')->attention('Accounts')->inCareOf('Mrs. Finch');
        $this->assertSame(['Mr. Silas Wren', 'Attn: Accounts', 'Brass Lantern Foundry', 'c/o Mrs. Finch'], $recipient->lines(false));
        $this->assertSame(['Brass Lantern Foundry', 'Mr. Silas Wren', 'Attn: Accounts', 'c/o Mrs. Finch'], $recipient->lines(true));
        $this->assertSame(['A', 'B'], Recipient::people(['A', 'B'])->lines(false));
    }
}
