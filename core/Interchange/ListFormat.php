<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** In what form records leave the book. */
enum ListFormat: string
{
    case Csv = 'csv';
    case Xlsx = 'xlsx';
    case Ods = 'ods';
    case Json = 'json';
    case VCard4 = 'vcard4';
    case VCard3 = 'vcard3';
    case JCard = 'jcard';

    /** Without what comes before the dot. */
    public function ending(): string
    {
        return match ($this) {
            self::Csv, self::Xlsx, self::Ods => $this->value,
            self::VCard4, self::VCard3 => 'vcf',
            self::JCard, self::Json => 'json',
        };
    }

    /** RFC 7111 and 4180; RFC 6350, 10.1; RFC 7095, 6.1. */
    public function mediaType(): string
    {
        return match ($this) {
            self::Csv => 'text/csv; charset=UTF-8; header=present',
            self::VCard4, self::VCard3 => 'text/vcard; charset=UTF-8',
            self::JCard => 'application/vcard+json',
            self::Json => 'application/json',
            self::Xlsx => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
            self::Ods => 'application/vnd.oasis.opendocument.spreadsheet',
        };
    }

    /** Whether it is rows and columns. */
    public function isTable(): bool
    {
        return in_array($this, [self::Csv, self::Xlsx, self::Ods], true);
    }
}
