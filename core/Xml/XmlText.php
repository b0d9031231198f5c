<?php

declare(strict_types=1);

namespace Almanac\Xml;

use DOMDocument;
use XMLReader;

/**
 * The one way in which XML from outside is read: UTF-8 only, no document type (and so no entities of its own, no files it
 * names), bounded in size before and in depth while it is read (libxml stops at 256).
 *
 * Source: W3C Extensible Markup Language (XML) 1.0, 2.8 (prolog and document type), 4.3.3 (encodings).
 */
final class XmlText
{
    /** What may stand before the root or a document type: declarations, comments, white space. */
    private const PROLOG = '/\A\x{FEFF}?(?:\s+|<\?.*?\?>|<!--.*?-->)*+/su';

    private const DECLARED = '/\A\x{FEFF}?\s*<\?xml\s[^>]*?\bencoding\s*=\s*["\']([^"\']*)/u';

    /**
     * @param int $most bytes
     *
     * @return DOMDocument|null null where it is larger, no well-formed XML, in another encoding or has a document type
     */
    public static function document(string $xml, int $most): ?DOMDocument
    {
        if (strlen($xml) > $most || ! self::isPlain($xml)) {
            return null;
        }
        $before = libxml_use_internal_errors(true);
        $document = new DOMDocument;
        $isRead = $document->loadXML($xml, LIBXML_NONET) && $document->doctype === null && $document->documentElement !== null;
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return $isRead ? $document : null;
    }

    /** A reader for what is too large to be held, as UTF-8; who steps through it refuses a document type when it comes. */
    public static function reader(string $uri): ?XMLReader
    {
        $reader = new XMLReader;

        return @$reader->open($uri, 'UTF-8', LIBXML_NONET | LIBXML_COMPACT) ? $reader : null;
    }

    private static function isPlain(string $xml): bool
    {
        if ($xml === '' || str_contains($xml, "\0") || ! mb_check_encoding($xml, 'UTF-8')) {
            return false;
        }
        if (preg_match(self::DECLARED, $xml, $declared) === 1 && strcasecmp($declared[1], 'utf-8') !== 0) {
            return false;
        }

        return preg_match(self::PROLOG, $xml, $prolog) === 1 && stripos(substr($xml, strlen($prolog[0]), 9), '<!DOCTYPE') === false;
    }
}
