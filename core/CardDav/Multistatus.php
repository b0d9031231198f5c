<?php

declare(strict_types=1);

namespace Almanac\CardDav;

/**
 * The answer to a PROPFIND or a REPORT: what each thing has of what was asked for, and what it has not.
 *
 * Source: RFC 4918, 13 and 14.16; RFC 6578, 3.5 for what is gone, and for the token.
 */
final class Multistatus
{
    private const PREFIXES = [DavRequest::DAV => 'd', DavRequest::CARDS => 'card', 'http://calendarserver.org/ns/' => 'cs'];

    private readonly \XMLWriter $xml;

    public function __construct()
    {
        $this->xml = new \XMLWriter;
        $this->xml->openMemory();
        $this->xml->startDocument('1.0', 'utf-8');
        $this->xml->startElement('d:multistatus');
        foreach (self::PREFIXES as $namespace => $prefix) {
            $this->xml->writeAttribute("xmlns:$prefix", $namespace);
        }
    }

    /**
     * @param array<string, string|list<string>|list<array{string, string}>> $has by property: a text, the names of empty elements, or names with an address each
     * @param list<string> $asked properties; none for all that it has
     */
    public function add(string $href, array $has, array $asked): void
    {
        $found = $asked === [] ? $has : array_intersect_key($has, array_flip($asked));
        $missing = array_values(array_diff($asked, array_keys($has)));
        $this->xml->startElement('d:response');
        $this->xml->writeElement('d:href', $href);
        if ($found !== [] || $missing === []) {
            $this->properties(fn () => array_map($this->property(...), array_keys($found), $found), '200 OK');
        }
        if ($missing !== []) {
            $this->properties(fn () => array_map(fn (string $name) => $this->element($name, null), $missing), '404 Not Found');
        }
        $this->xml->endElement();
    }

    public function gone(string $href): void
    {
        $this->xml->startElement('d:response');
        $this->xml->writeElement('d:href', $href);
        $this->xml->writeElement('d:status', 'HTTP/1.1 404 Not Found');
        $this->xml->endElement();
    }

    public function text(string $token = ''): string
    {
        if ($token !== '') {
            $this->xml->writeElement('d:sync-token', $token);
        }
        $this->xml->endElement();

        return $this->xml->outputMemory();
    }

    /** @param  \Closure(): mixed  $write */
    private function properties(\Closure $write, string $status): void
    {
        $this->xml->startElement('d:propstat');
        $this->xml->startElement('d:prop');
        $write();
        $this->xml->endElement();
        $this->xml->writeElement('d:status', "HTTP/1.1 $status");
        $this->xml->endElement();
    }

    /** @param  string|list<string>|list<array{string, string}>  $value */
    private function property(string $name, string|array $value): void
    {
        $this->element($name, function () use ($value): void {
            if (is_string($value)) {
                $this->xml->text($value);

                return;
            }
            foreach ($value as $one) {
                is_string($one)
                    ? $this->element($one, null)
                    : $this->element($one[0], fn () => $this->xml->text($one[1]));
            }
        });
    }

    /** @param  (\Closure(): mixed)|null  $content */
    private function element(string $name, ?\Closure $content): void
    {
        [$namespace, $local] = preg_match('/^\{(.*)\}([\w.-]+)$/', $name, $part) === 1 ? [$part[1], $part[2]] : ['', 'unknown'];
        $prefix = self::PREFIXES[$namespace] ?? null;
        $prefix === null ? $this->xml->startElementNs('x', $local, $namespace) : $this->xml->startElement("$prefix:$local");
        if ($content !== null) {
            $content();
        }
        $this->xml->endElement();
    }
}
