<?php

declare(strict_types=1);

namespace App\Outside;

use Almanac\CardDav\DavAddress;
use Almanac\CardDav\DavAnswer;
use Almanac\CardDav\DavRefused;
use Almanac\CardDav\NamedServers;
use GuzzleHttp\Exception\GuzzleException;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

/**
 * An address book elsewhere, read once by CardDAV (RFC 6352; found by RFC 6764). It is asked only where the office allows,
 * wherever it, or the DNS, sends.
 */
final class BookElsewhere
{
    private const LARGEST = 25;

    private const MEGABYTE = 1_048_576;

    private const HOPS = 5;

    /** Of all that is asked together. */
    private const SECONDS = 40.0;

    private const SECONDS_EACH = 15.0;

    private float $until;

    private int $left;

    /**
     * @param list<string> $allowed places
     * @param string $name of whose book it is
     */
    public function __construct(
        private readonly array $allowed,
        private readonly string $name,
        private readonly string $password,
        private readonly NameService $names,
    ) {
        $this->until = microtime(true) + self::SECONDS;
        $this->left = self::LARGEST * self::MEGABYTE;
    }

    /**
     * @return string the contacts, as one file of vCards
     *
     * @throws DavRefused when it is not allowed, is none, or cannot be read
     */
    public function read(DavAddress $address): string
    {
        $cards = [];
        foreach ($this->books($address) as $book) {
            $cards = [...$cards, ...$this->ask($book, 'REPORT', DavAnswer::EVERYTHING, '1')[0]->cards()];
        }

        return $cards === [] ? throw DavRefused::isEmpty() : implode("\r\n", $cards)."\r\n";
    }

    /**
     * @return non-empty-list<DavAddress>
     *
     * @throws DavRefused when there is none
     */
    private function books(DavAddress $address): array
    {
        if ($address->isBare()) {
            $this->mustBeAllowed($address);
            $address = $this->named($address) ?? $address;
        }
        [$here, $at] = $this->ask($address->isBare() ? $address->wellKnown() : $address, 'PROPFIND', DavAnswer::WHERE, '0');
        if ($here->books() !== []) {
            return [$at];
        }
        if ($here->home() === '' && $here->principal() !== '') {
            [$here, $at] = $this->ask($at->to($here->principal()), 'PROPFIND', DavAnswer::WHERE, '0');
        }
        if ($here->home() !== '') {
            $at = $at->to($here->home());
        }
        [$there, $at] = $this->ask($at, 'PROPFIND', DavAnswer::WHERE, '1');
        $books = array_map(fn (string $href) => $at->to($href), $there->books());

        return $books === [] ? throw DavRefused::notABook() : $books;
    }

    /** RFC 6764, 6: the name of a domain is looked up before it is asked itself. */
    private function named(DavAddress $address): ?DavAddress
    {
        $domain = $address->domain();
        $servers = $domain === '' ? [] : $this->names->servers(NamedServers::nameOf($domain));

        return $servers === [] ? null : NamedServers::first($servers, $this->names->texts(NamedServers::nameOf($domain)));
    }

    private function mustBeAllowed(DavAddress $address): void
    {
        if (! in_array($address->place, $this->allowed, true)) {
            throw DavRefused::notAllowed($address->place, $this->allowed);
        }
    }

    /** @return array{DavAnswer, DavAddress} what it says, and where that was said in the end */
    private function ask(DavAddress $address, string $method, string $body, string $depth): array
    {
        for ($hops = 0; $hops <= self::HOPS; $hops++) {
            $answer = $this->send($address, $method, $body, $depth);
            if (in_array($answer->status(), [301, 302, 303, 307, 308], true) && $answer->header('Location') !== '') {
                $address = $address->to($answer->header('Location'));

                continue;
            }

            return match (true) {
                $answer->status() === 207 => [DavAnswer::read($this->body($answer)), $address],
                in_array($answer->status(), [401, 403], true) => throw DavRefused::wrongPassword(),
                $answer->status() === 200, $answer->status() === 404, $answer->status() === 405 => throw DavRefused::notABook(),
                default => throw DavRefused::said($answer->status()),
            };
        }
        throw DavRefused::goesInCircles();
    }

    private function send(DavAddress $address, string $method, string $body, string $depth): Response
    {
        NoTransaction::assert();
        $this->mustBeAllowed($address);
        $left = min(self::SECONDS_EACH, $this->until - microtime(true));
        if ($left <= 0) {
            throw DavRefused::isSilent();
        }
        try {
            return Http::withBasicAuth($this->name, $this->password)->withHeaders(['Depth' => $depth])
                ->withBody($body, 'application/xml; charset=utf-8')
                ->withoutRedirecting()->connectTimeout((int) ceil(min(5, $left)))->timeout((int) ceil($left))
                ->withOptions(['stream' => true, 'read_timeout' => $left, 'decode_content' => false])
                ->send($method, $address->toText());
        } catch (ConnectionException|GuzzleException) {
            throw DavRefused::isSilent();
        }
    }

    /** No more of it than is wanted. */
    private function body(Response $answer): string
    {
        $stream = $answer->toPsrResponse()->getBody();
        $body = '';
        try {
            while (! $stream->eof()) {
                $piece = $stream->read(self::MEGABYTE >> 2);
                $body .= $piece;
                $this->left -= strlen($piece);
                if ($this->left < 0) {
                    throw DavRefused::tooLarge(self::LARGEST);
                }
                if ($piece === '' || microtime(true) > $this->until) {
                    break;
                }
            }
        } catch (\RuntimeException) {
            throw DavRefused::isSilent();
        }

        return $body;
    }
}
