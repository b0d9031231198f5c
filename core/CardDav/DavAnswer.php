<?php

declare(strict_types=1);

namespace Almanac\CardDav;

use Almanac\Xml\XmlText;

/**
 * What a server of address books answers: what there is at each address, and what it is.
 *
 * Source: RFC 4918, 13; RFC 6352, 5.2 (a collection of contacts), 7.1.1 (where they are), 8.6; RFC 5397, 3 (who asks).
 */
final readonly class DavAnswer
{
    public const WHERE = '<?xml version="1.0" encoding="utf-8"?><d:propfind xmlns:d="DAV:" xmlns:card="urn:ietf:params:xml:ns:carddav"><d:prop>'
        .'<d:resourcetype/><d:displayname/><d:current-user-principal/><card:addressbook-home-set/></d:prop></d:propfind>';

    public const EVERYTHING = '<?xml version="1.0" encoding="utf-8"?><card:addressbook-query xmlns:d="DAV:" xmlns:card="urn:ietf:params:xml:ns:carddav">'
        .'<d:prop><d:getetag/><card:address-data/></d:prop><card:filter/></card:addressbook-query>';

    /** Bytes: of an address book of 100,000 contacts with everything. */
    private const MOST = 30_000_000;

    /** @param  list<\DOMElement>  $responses */
    private function __construct(private array $responses)
    {
    }

    /** @throws DavRefused when it is no such answer, or brings entities of its own */
    public static function read(string $body): self
    {
        $root = XmlText::document($body, self::MOST)?->documentElement;
        if ($root?->localName !== 'multistatus' || $root->namespaceURI !== DavRequest::DAV) {
            throw DavRefused::notABook();
        }
        $responses = [];
        foreach ($root->childNodes as $child) {
            if ($child instanceof \DOMElement && $child->localName === 'response') {
                $responses[] = $child;
            }
        }

        return new self($responses);
    }

    /** Where who asks is told about; empty where nothing says so. */
    public function principal(): string
    {
        return $this->within('current-user-principal', DavRequest::DAV);
    }

    /** Where their address books are; empty where nothing says so. */
    public function home(): string
    {
        return $this->within('addressbook-home-set', DavRequest::CARDS);
    }

    /** @return list<string> the addresses of what is an address book */
    public function books(): array
    {
        $books = [];
        foreach ($this->responses as $response) {
            $types = $response->getElementsByTagNameNS(DavRequest::DAV, 'resourcetype')->item(0);
            if ($types instanceof \DOMElement && $types->getElementsByTagNameNS(DavRequest::CARDS, 'addressbook')->length > 0) {
                $books[] = self::href($response);
            }
        }

        return $books;
    }

    /** @return list<string> the contacts, each as a vCard */
    public function cards(): array
    {
        $cards = [];
        foreach ($this->responses as $response) {
            $data = trim($response->getElementsByTagNameNS(DavRequest::CARDS, 'address-data')->item(0)->textContent ?? '');
            if ($data !== '') {
                $cards[] = $data;
            }
        }

        return $cards;
    }

    private function within(string $name, string $namespace): string
    {
        foreach ($this->responses as $response) {
            $property = $response->getElementsByTagNameNS($namespace, $name)->item(0);
            $href = $property instanceof \DOMElement
                ? trim($property->getElementsByTagNameNS(DavRequest::DAV, 'href')->item(0)->textContent ?? '')
                : '';
            if ($href !== '') {
                return $href;
            }
        }

        return '';
    }

    private static function href(\DOMElement $response): string
    {
        return trim($response->getElementsByTagNameNS(DavRequest::DAV, 'href')->item(0)->textContent ?? '');
    }
}
