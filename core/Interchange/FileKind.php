<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Titled;

/** What is in a file that comes in, told by how it begins and never by its name. */
enum FileKind: string implements Titled
{
    case Csv = 'csv';
    case Xlsx = 'xlsx';
    case Ods = 'ods';
    case VCard = 'vcard';
    case JCard = 'jcard';
    case Ldif = 'ldif';
    case Ubl = 'ubl';

    /**
     * @param string $head its first few thousand bytes
     *
     * @throws InterchangeRefused when it is none that can be read
     */
    public static function of(string $head): self
    {
        if (str_starts_with($head, "PK\x03\x04")) {
            // ODF 1.2, part 3, 3.3: the first file of the archive tells its kind.
            return str_contains(substr($head, 0, 200), 'application/vnd.oasis.opendocument.spreadsheet') ? self::Ods : self::Xlsx;
        }
        if (preg_match('/^(%PDF|\x89PNG|\xFF\xD8\xFF|GIF8|\xD0\xCF\x11\xE0|\x1F\x8B|Rar!|7z\xBC)/', $head) === 1) {
            throw InterchangeRefused::noText();
        }
        // The end of what was read may be half a letter, which is no reason to take all of it for something else.
        $text = ltrim(CsvTable::text(preg_replace('/[\xC0-\xFF][\x80-\xBF]*$/', '', $head) ?? ''));

        return match (true) {
            preg_match('/^BEGIN:VCARD\s/i', $text) === 1 => self::VCard,
            preg_match('/^\[\s*(\[\s*)*"vcard"/i', $text) === 1 => self::JCard,
            preg_match('/^(#[^\n]*\n|\s|version:\s*1\s*\n)*dn::?\s/i', $text) === 1 => self::Ldif,
            str_starts_with($text, '<') => self::Ubl,
            default => self::Csv,
        };
    }

    public function title(): string
    {
        return match ($this) {
            self::Csv => 'Table (CSV)',
            self::Xlsx => 'Spreadsheet (XLSX)',
            self::Ods => 'Spreadsheet (ODS)',
            self::VCard => 'Contacts (vCard)',
            self::JCard => 'Contacts (jCard)',
            self::Ldif => 'Address book (LDIF)',
            self::Ubl => 'Invoice (UBL)',
        };
    }

    /** Whether its columns are somebody's own, to be matched. */
    public function isTable(): bool
    {
        return in_array($this, [self::Csv, self::Xlsx, self::Ods], true);
    }
}
