<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Xml\XmlText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** XML from outside: UTF-8, no document type, bounded. */
final class XmlTextTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function refused(): iterable
    {
        $bomb = '<!DOCTYPE r [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]><r>&b;</r>';
        yield 'a document type' => [$bomb];
        yield 'in small letters, which is no XML' => [str_replace('DOCTYPE', 'doctype', $bomb)];
        yield 'behind a declaration and comments' => ['<?xml version="1.0"?><!-- a --> <?p q?>'."\n".$bomb];
        yield 'behind a comment that holds the root' => ['<!-- <r> -->'.$bomb];
        yield 'in UTF-16, big end first' => ["\xFE\xFF".mb_convert_encoding($bomb, 'UTF-16BE', 'UTF-8')];
        yield 'in UTF-16, little end first' => ["\xFF\xFE".mb_convert_encoding($bomb, 'UTF-16LE', 'UTF-8')];
        yield 'in UTF-16 without a mark' => [mb_convert_encoding("<?xml version='1.0' encoding='UTF-16'?>$bomb", 'UTF-16LE', 'UTF-8')];
        yield 'in UTF-32' => [mb_convert_encoding($bomb, 'UTF-32BE', 'UTF-8')];
        yield 'in UTF-7' => ['<?xml version="1.0" encoding="UTF-7"?>+ADw-r/+AD4-'];
        yield 'in another encoding that it declares' => ['<?xml version="1.0" encoding="ISO-8859-1"?><r/>'];
        yield 'in EBCDIC' => ['<?xml version="1.0" encoding="IBM037"?><r/>'];
        yield 'bytes that are no UTF-8' => ["<r>\xE9</r>"];
        yield 'deeper than 256' => [str_repeat('<r>', 300).str_repeat('</r>', 300)];
        yield 'cut off' => ['<r><s></r>'];
        yield 'nothing' => [''];
        yield 'larger than it may be' => ['<r>'.str_repeat('x', 2000).'</r>'];
    }

    #[DataProvider('refused')]
    public function test_it_is_refused_without_an_error_of_php(string $xml): void
    {
        $before = memory_get_peak_usage();
        $this->assertNull(XmlText::document($xml, 1900));
        $this->assertLessThan(5_000_000, memory_get_peak_usage() - $before);
    }

    public function test_plain_xml_is_read_whatever_its_text_says(): void
    {
        foreach ([
            '<r>é</r>', "\u{FEFF}<r>é</r>", '<?xml version="1.0" encoding="utf-8"?><!-- ok --><r>é</r>',
            '<?xml version=\'1.0\' encoding=\'UTF-8\'?><r><![CDATA[é]]></r>',
        ] as $xml) {
            $this->assertSame('é', XmlText::document($xml, 1900)?->documentElement?->textContent, $xml);
        }
        // What only looks like a document type is text.
        $this->assertSame('<!DOCTYPE', XmlText::document('<r><![CDATA[<!DOCTYPE]]></r>', 1900)?->documentElement?->textContent);
    }
}
