<?php

declare(strict_types=1);

namespace App\Http\Controllers\CardDav;

use Almanac\CardDav\DavRefused;
use Almanac\CardDav\DavRequest;
use Almanac\CardDav\Multistatus;
use Almanac\Finding\Fold;
use Almanac\Interchange\ListFormat;
use App\Models\User;
use App\Queries\Interchange\ReadCardBooks;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The book as phones and mail programs read it. It is read only: what they send is refused.
 *
 * Source: RFC 6352 (CardDAV), RFC 4918 (WebDAV), RFC 6578 (sync-collection), RFC 5397 (current-user-principal).
 */
final readonly class CardDavController
{
    private const ROOT = '/dav/';

    private const PRINCIPAL = '/dav/me/';

    private const HOME = '/dav/books/';

    private const TOKEN = 'urn:almanac:sync:';

    private const READ = [
        'Allow' => 'OPTIONS, GET, HEAD, PROPFIND, REPORT', 'DAV' => '1, 3, addressbook, sync-collection',
        'Cache-Control' => 'private, no-cache',
    ];

    public function __construct(private ReadCardBooks $books)
    {
    }

    public function options(): Response
    {
        return new Response('', 200, self::READ);
    }

    public function nothing(): Response
    {
        return new Response('', 404, self::READ);
    }

    /** Whatever would change something. */
    public function refuse(): Response
    {
        return self::error('need-privileges');
    }

    public function root(Request $request): Response
    {
        return $this->found(
            $request,
            fn (Multistatus $answer, DavRequest $asked) => $answer->add(self::ROOT, $this->collection('Neat Almanac'), $asked->properties),
        );
    }

    public function principal(Request $request, #[CurrentUser] User $user): Response
    {
        return $this->found($request, fn (Multistatus $answer, DavRequest $asked) => $answer->add(self::PRINCIPAL, [
            '{DAV:}resourcetype' => ['{DAV:}collection', '{DAV:}principal'], '{DAV:}displayname' => $user->name,
            '{DAV:}principal-URL' => [['{DAV:}href', self::PRINCIPAL]],
            '{'.DavRequest::CARDS.'}addressbook-home-set' => [['{DAV:}href', self::HOME]],
        ] + $this->collection($user->name), $asked->properties));
    }

    public function home(Request $request, #[CurrentUser] User $user): Response
    {
        return $this->found($request, function (Multistatus $answer, DavRequest $asked, bool $isDeep) use ($user): void {
            $answer->add(self::HOME, $this->collection('Address books'), $asked->properties);
            foreach ($isDeep ? $this->books->books($user) : [] as $book => $name) {
                $answer->add(self::HOME."$book/", $this->book($name, $this->books->states($book, $user) ?? []), $asked->properties);
            }
        });
    }

    public function addressBook(Request $request, string $book, #[CurrentUser] User $user): Response
    {
        $states = $this->books->states($book, $user);
        if ($states === null) {
            return $this->nothing();
        }
        if ($request->isMethod('REPORT')) {
            return $this->report($request, $book, $states);
        }

        return $this->found($request, function (Multistatus $answer, DavRequest $asked, bool $isDeep) use ($book, $states, $user): void {
            $answer->add(self::HOME."$book/", $this->book($this->books->books($user)[$book] ?? '', $states), $asked->properties);
            foreach ($isDeep ? $states : [] as $id => $state) {
                $answer->add(self::href($book, $id), self::card($state), $asked->properties);
            }
        });
    }

    public function one(Request $request, string $book, int $id, #[CurrentUser] User $user): Response
    {
        $state = ($this->books->states($book, $user) ?? [])[$id] ?? null;
        if ($state === null) {
            return $this->nothing();
        }
        if ($request->isMethod('PROPFIND')) {
            return $this->found(
                $request,
                fn (Multistatus $answer, DavRequest $asked) => $answer->add(self::href($book, $id), self::card($state), $asked->properties),
            );
        }
        $headers = ['ETag' => "\"$state\""] + self::READ;
        if ($request->headers->get('If-None-Match') === "\"$state\"") {
            return new Response('', 304, $headers);
        }
        $format = str_contains((string) $request->headers->get('Accept'), 'version=4.0') ? ListFormat::VCard4 : ListFormat::VCard3;

        return new Response(
            implode('', iterator_to_array($this->books->cards([$id], $format))),
            200,
            ['Content-Type' => 'text/vcard; charset=utf-8'] + $headers,
        );
    }

    /** @param  array<int, string>  $states */
    private function report(Request $request, string $book, array $states): Response
    {
        try {
            $asked = DavRequest::read($request->getContent());
            $ids = match ($asked->name) {
                'addressbook-multiget' => array_values(array_filter(array_map(
                    fn (string $href) => self::idIn($book, $href),
                    $asked->hrefs,
                ))),
                'addressbook-query', 'sync-collection' => array_keys($states),
                default => throw DavRefused::unknownReport($asked->name),
            };
        } catch (DavRefused $refused) {
            return new Response($refused->getMessage(), 400, self::READ);
        }
        $token = self::token($states);
        if ($asked->name === 'sync-collection' && $asked->token !== '') {
            if ($asked->token !== $token) {
                // What went and what came since then is not kept: the list is compared by its states (RFC 6578, 3.2).
                return self::error('valid-sync-token');
            }
            $ids = [];
        }
        $answer = new Multistatus;
        $there = array_values(array_filter($ids, fn (int $id) => isset($states[$id])));
        $cards = $asked->wants(DavRequest::ADDRESS_DATA) || $asked->text !== ''
            ? $this->books->cards($there, $asked->version === '4.0' ? ListFormat::VCard4 : ListFormat::VCard3)
            : array_fill_keys($there, null);
        $text = Fold::text($asked->text);
        foreach ($cards as $id => $card) {
            if ($asked->text === '' || str_contains(Fold::text((string) $card), $text)) {
                $answer->add(
                    self::href($book, $id),
                    self::card($states[$id]) + ($card === null ? [] : [DavRequest::ADDRESS_DATA => $card]),
                    $asked->properties,
                );
            }
        }
        foreach ($asked->name === 'addressbook-multiget' ? $asked->hrefs : [] as $href) {
            if (! isset($states[self::idIn($book, $href) ?? 0])) {
                $answer->gone($href);
            }
        }

        return self::xml($answer->text($asked->name === 'sync-collection' ? $token : ''), 207);
    }

    /** @param  \Closure(Multistatus, DavRequest, bool): void  $add */
    private function found(Request $request, \Closure $add): Response
    {
        try {
            $asked = DavRequest::read($request->getContent());
        } catch (DavRefused $refused) {
            return new Response($refused->getMessage(), 400, self::READ);
        }
        $answer = new Multistatus;
        $add($answer, $asked, $request->headers->get('Depth', '0') !== '0');

        return self::xml($answer->text(), 207);
    }

    /** What stood in the way, by its name in the standards. */
    private static function error(string $condition): Response
    {
        return self::xml('<?xml version="1.0" encoding="utf-8"?><d:error xmlns:d="DAV:"><d:'.$condition.'/></d:error>', 403);
    }

    private static function xml(string $xml, int $status): Response
    {
        return new Response($xml, $status, ['Content-Type' => 'application/xml; charset=utf-8'] + self::READ);
    }

    /** @return array<string, string|list<string>|list<array{string, string}>> */
    private function collection(string $name): array
    {
        return [
            '{DAV:}resourcetype' => ['{DAV:}collection'], '{DAV:}displayname' => $name,
            '{DAV:}current-user-principal' => [['{DAV:}href', self::PRINCIPAL]],
            '{DAV:}owner' => [['{DAV:}href', self::PRINCIPAL]],
        ];
    }

    /**
     * @param array<int, string> $states
     *
     * @return array<string, string|list<string>|list<array{string, string}>>
     */
    private function book(string $name, array $states): array
    {
        $token = self::token($states);

        return [
            '{DAV:}resourcetype' => ['{DAV:}collection', '{'.DavRequest::CARDS.'}addressbook'], '{DAV:}sync-token' => $token,
            '{http://calendarserver.org/ns/}getctag' => $token,
            '{'.DavRequest::CARDS.'}addressbook-description' => "$name, from Neat Almanac; read only",
        ] + $this->collection($name);
    }

    /** @return array<string, string|list<string>> */
    private static function card(string $state): array
    {
        return ['{DAV:}getetag' => "\"$state\"", '{DAV:}getcontenttype' => 'text/vcard; charset=utf-8', '{DAV:}resourcetype' => []];
    }

    /** @param  array<int, string>  $states */
    private static function token(array $states): string
    {
        ksort($states);

        return self::TOKEN.substr(hash('sha256', json_encode($states, JSON_THROW_ON_ERROR)), 0, 24);
    }

    private static function href(string $book, int $id): string
    {
        return self::HOME."$book/$id.vcf";
    }

    private static function idIn(string $book, string $href): ?int
    {
        $path = rawurldecode((string) parse_url($href, PHP_URL_PATH));

        return preg_match('#^'.preg_quote(self::HOME.$book, '#').'/(\d{1,12})\.vcf$#', $path, $number) === 1 ? (int) $number[1] : null;
    }
}
