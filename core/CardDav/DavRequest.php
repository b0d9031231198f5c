<?php

declare(strict_types=1);

namespace Almanac\CardDav;

use Almanac\Xml\XmlText;

/**
 * What a phone or a mail program asks of an address book: a PROPFIND or a REPORT.
 *
 * Source: RFC 4918, 9.1 (PROPFIND); RFC 6352, 8.6 (addressbook-query) and 8.7 (addressbook-multiget); RFC 6578, 3.2
 * (sync-collection). Names of properties are written as "{namespace}name".
 */
final readonly class DavRequest
{
    public const DAV = 'DAV:';

    public const CARDS = 'urn:ietf:params:xml:ns:carddav';

    public const ADDRESS_DATA = '{'.self::CARDS.'}address-data';

    private const MOST = 1_000_000;

    private const MOST_HREFS = 5000;

    /**
     * @param string $name of the outermost element: propfind, addressbook-multiget, addressbook-query, sync-collection
     * @param list<string> $properties that are asked for; none for all that are usual
     * @param list<string> $hrefs of a multiget
     * @param string $token of a sync; empty for the first
     * @param string $version of the cards that are asked for
     * @param string $text that a query looks for; empty for everything
     */
    private function __construct(
        public string $name,
        public array $properties,
        public array $hrefs,
        public string $token,
        public string $version,
        public string $text,
    ) {
    }

    /** @throws DavRefused when it is no XML, or brings entities of its own */
    public static function read(string $body): self
    {
        if (trim($body) === '') {
            return new self('propfind', [], [], '', '3.0', '');
        }
        $root = XmlText::document($body, self::MOST)->documentElement ?? throw DavRefused::notXml();
        $properties = $hrefs = [];
        foreach ($root->getElementsByTagNameNS(self::DAV, 'prop') as $prop) {
            foreach ($prop->childNodes as $child) {
                if ($child instanceof \DOMElement) {
                    $properties[] = '{'.$child->namespaceURI.'}'.$child->localName;
                }
            }
        }
        foreach ($root->getElementsByTagNameNS(self::DAV, 'href') as $href) {
            $hrefs[] = trim($href->textContent);
        }
        $data = $root->getElementsByTagNameNS(self::CARDS, 'address-data')->item(0);
        $text = $root->getElementsByTagNameNS(self::CARDS, 'text-match')->item(0);

        return new self(
            (string) $root->localName,
            array_values(array_unique($properties)),
            array_slice($hrefs, 0, self::MOST_HREFS),
            trim($root->getElementsByTagNameNS(self::DAV, 'sync-token')->item(0)->textContent ?? ''),
            $data instanceof \DOMElement && $data->getAttribute('version') === '4.0' ? '4.0' : '3.0',
            trim($text->textContent ?? ''),
        );
    }

    public function wants(string $property): bool
    {
        return in_array($property, $this->properties, true);
    }
}
