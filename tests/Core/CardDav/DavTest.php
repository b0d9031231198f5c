<?php

declare(strict_types=1);

namespace Tests\Core\CardDav;

use Almanac\CardDav\DavRefused;
use Almanac\CardDav\DavRequest;
use Almanac\CardDav\Multistatus;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Requests of phones and mail programs, and the answers to them. */
final class DavTest extends TestCase
{
    public function test_the_examples_of_the_standards_are_read(): void
    {
        // RFC 6352, 8.7.1.
        $multiget = DavRequest::read(<<<'XML'
            <?xml version="1.0" encoding="utf-8" ?>
            <C:addressbook-multiget xmlns:D="DAV:" xmlns:C="urn:ietf:params:xml:ns:carddav">
              <D:prop><D:getetag/><C:address-data><C:prop name="VERSION"/><C:prop name="UID"/></C:address-data></D:prop>
              <D:href>/home/bernard/addressbook/vcf102.vcf</D:href>
              <D:href>/home/bernard/addressbook/vcf1.vcf</D:href>
            </C:addressbook-multiget>
            XML);
        $this->assertSame('addressbook-multiget', $multiget->name);
        $this->assertSame(['{DAV:}getetag', DavRequest::ADDRESS_DATA], $multiget->properties);
        $this->assertSame(['/home/bernard/addressbook/vcf102.vcf', '/home/bernard/addressbook/vcf1.vcf'], $multiget->hrefs);
        $this->assertTrue($multiget->wants(DavRequest::ADDRESS_DATA));
        // RFC 6352, 8.7.2: cards of version 4.0 are asked for.
        $version = DavRequest::read(
            '<C:addressbook-multiget xmlns:D="DAV:" xmlns:C="urn:ietf:params:xml:ns:carddav"><D:prop><D:getetag/><C:address-data content-type="text/vcard" version="4.0"/></D:prop><D:href>/a</D:href></C:addressbook-multiget>',
        );
        $this->assertSame(['4.0', '3.0'], [$version->version, $multiget->version]);
        // RFC 6352, 8.6.3: by nickname.
        $query = DavRequest::read(
            '<C:addressbook-query xmlns:D="DAV:" xmlns:C="urn:ietf:params:xml:ns:carddav"><D:prop><D:getetag/></D:prop><C:filter><C:prop-filter name="NICKNAME"><C:text-match collation="i;unicode-casemap" match-type="equals">me</C:text-match></C:prop-filter></C:filter></C:addressbook-query>',
        );
        $this->assertSame(['addressbook-query', 'me'], [$query->name, $query->text]);
        // RFC 6578, 3.8 and 3.9: the first synchronization, and the next.
        $first = DavRequest::read(
            '<D:sync-collection xmlns:D="DAV:"><D:sync-token/><D:sync-level>1</D:sync-level><D:prop xmlns:R="urn:ns.example.com:boxschema"><D:getetag/><R:bigbox/></D:prop></D:sync-collection>',
        );
        $this->assertSame(
            ['sync-collection', '', ['{DAV:}getetag', '{urn:ns.example.com:boxschema}bigbox']],
            [$first->name, $first->token, $first->properties],
        );
        $this->assertSame(
            'http://example.com/ns/sync/1234',
            DavRequest::read(
                '<D:sync-collection xmlns:D="DAV:"><D:sync-token>http://example.com/ns/sync/1234</D:sync-token><D:prop><D:getetag/></D:prop></D:sync-collection>',
            )->token,
        );
        // RFC 4918, 9.1: without a body everything usual is asked for.
        $this->assertSame(['propfind', []], [DavRequest::read('')->name, DavRequest::read(" \n")->properties]);
    }

    /** @return iterable<string, array{string}> */
    public static function unreadable(): iterable
    {
        yield 'no XML' => ['propfind'];
        yield 'an end in the middle' => ['<D:propfind xmlns:D="DAV:"><D:prop>'];
        yield 'a prefix that means nothing' => ['<D:propfind/><a/>'];
        yield 'entities of its own' => ['<!DOCTYPE x [<!ENTITY a "b">]><x>&a;</x>'];
        yield 'entities, however they are written' => ['<!doctype x><x/>'];
        yield 'far too much' => ['<a>'.str_repeat('x', 1_000_001).'</a>'];
    }

    #[DataProvider('unreadable')]
    public function test_what_is_no_request_is_refused(string $body): void
    {
        $this->expectExceptionObject(DavRefused::notXml());
        DavRequest::read($body);
    }

    public function test_an_answer_says_what_there_is_and_what_there_is_not(): void
    {
        $answer = new Multistatus;
        $answer->add('/a/', ['{DAV:}displayname' => 'Zoë & <Söhne>', '{DAV:}resourcetype' => ['{DAV:}collection', '{'.DavRequest::CARDS.'}addressbook'], '{DAV:}owner' => [['{DAV:}href', '/me/']], '{DAV:}getetag' => '"1"'], [
            '{DAV:}displayname', '{DAV:}resourcetype', '{DAV:}owner', '{urn:other}thing',
        ]);
        $answer->gone('/b.vcf');
        $answer->add('/c/', ['{DAV:}getetag' => '"2"'], []);
        $answer->add('/d/', [], ['{DAV:}quota']);
        $document = new \DOMDocument;
        $document->loadXML($answer->text('urn:token:1'));
        $xpath = new \DOMXPath($document);
        $xpath->registerNamespace('d', 'DAV:');
        $xpath->registerNamespace('c', DavRequest::CARDS);
        $xpath->registerNamespace('o', 'urn:other');
        foreach ([
            'string(//d:response[d:href="/a/"]/d:propstat[1]/d:prop/d:displayname)' => 'Zoë & <Söhne>',
            'string(//d:response[d:href="/a/"]/d:propstat[1]/d:status)' => 'HTTP/1.1 200 OK',
            'count(//d:resourcetype/d:collection) + count(//d:resourcetype/c:addressbook)' => 2.0,
            'string(//d:owner/d:href)' => '/me/',
            'string(//d:response[d:href="/a/"]/d:propstat[d:prop/o:thing]/d:status)' => 'HTTP/1.1 404 Not Found',
            'count(//d:response[d:href="/a/"]//d:getetag)' => 0.0,
            'string(//d:response[d:href="/b.vcf"]/d:status)' => 'HTTP/1.1 404 Not Found',
            'string(//d:response[d:href="/c/"]//d:getetag)' => '"2"',
            'count(//d:response[d:href="/d/"]/d:propstat)' => 1.0,
            'string(/d:multistatus/d:sync-token)' => 'urn:token:1',
        ] as $path => $wanted) {
            $this->assertSame($wanted, $xpath->evaluate($path), $path);
        }
    }
}
