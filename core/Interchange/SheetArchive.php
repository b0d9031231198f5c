<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Xml\XmlText;

/** The packed files of a spreadsheet, read as they are needed and never unpacked whole; one that unpacks to far too much is refused. */
final class SheetArchive
{
    /** Bytes. */
    private const MOST = 400_000_000;

    /** A sheet of fifty thousand lines packs to about a tenth. */
    private const MOST_PACKED = 300;

    private const SMALL = 5_000_000;

    private function __construct(private readonly string $path, private readonly \ZipArchive $zip, private readonly string $kind)
    {
    }

    /** @throws InterchangeRefused when it is no such archive, or unpacks to far too much */
    public static function open(string $path, string $kind): self
    {
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw InterchangeRefused::notThatKind($kind);
        }
        $whole = 0;
        for ($at = 0; $at < $zip->numFiles; $at++) {
            ['size' => $size, 'comp_size' => $packed] = $zip->statIndex($at) ?: ['size' => 0, 'comp_size' => 1];
            $whole += $size;
            if ($whole > self::MOST || ($size > self::SMALL && $size > $packed * self::MOST_PACKED)) {
                throw InterchangeRefused::tooMuch();
            }
        }

        return new self($path, $zip, $kind);
    }

    public function has(string $name): bool
    {
        return $this->zip->locateName($name) !== false;
    }

    /** @throws InterchangeRefused when it is missing, or damaged */
    public function read(string $name): \XMLReader
    {
        $reader = $this->has($name) && $this->isWhole($name) ? XmlText::reader("zip://$this->path#$name") : null;

        return $reader ?? throw InterchangeRefused::notThatKind($this->kind);
    }

    /**
     * Steps through what is read, and stops at what no spreadsheet has: entities of its own, or an end in the middle.
     *
     * @throws InterchangeRefused
     */
    public function next(\XMLReader $reader): bool
    {
        $before = libxml_use_internal_errors(true);

        return $this->stands($reader, $reader->read(), $before);
    }

    /**
     * The same, over whatever stands inside.
     *
     * @throws InterchangeRefused
     */
    public function over(\XMLReader $reader): bool
    {
        $before = libxml_use_internal_errors(true);

        return $this->stands($reader, $reader->next(), $before);
    }

    /**
     * @param bool $is whether there is more
     * @param bool $before whether errors were kept before it was read
     */
    private function stands(\XMLReader $reader, bool $is, bool $before): bool
    {
        $failed = ! $is && libxml_get_last_error() !== false;
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if ($failed || ($is && in_array($reader->nodeType, [\XMLReader::DOC_TYPE, \XMLReader::ENTITY_REF], true))) {
            throw InterchangeRefused::notThatKind($this->kind);
        }

        return $is;
    }

    /** Whether it unpacks to what was packed: a reader of XML takes the place of the damage for the end, and only warns. */
    private function isWhole(string $name): bool
    {
        $stream = $this->zip->getStream($name);
        $sum = hash_init('crc32b');
        if ($stream !== false) {
            @hash_update_stream($sum, $stream);
        }

        return hexdec(hash_final($sum)) === ($this->zip->statName($name)['crc'] ?? null);
    }
}
