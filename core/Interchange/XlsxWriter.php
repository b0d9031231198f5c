<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Writes one sheet as XLSX, its first row in bold and kept in sight. Texts stand where they are shown, so that none has to be
 * remembered; a text is never run as a formula.
 *
 * Source: ISO/IEC 29500-1 (SpreadsheetML), 18.3 and 18.18.11 (inline strings); ISO/IEC 29500-2 for the package; from memory.
 */
final class XlsxWriter
{
    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    private const RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const PARTS = [
        '[Content_Types].xml' => '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">'
            .'<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/>'
            .'<Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>'
            .'<Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/>'
            .'<Override PartName="/xl/styles.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml"/></Types>',
        '_rels/.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">'
            .'<Relationship Id="rId1" Type="'.self::RELATIONS.'/officeDocument" Target="xl/workbook.xml"/></Relationships>',
        'xl/workbook.xml' => '<workbook xmlns="'.self::MAIN.'" xmlns:r="'.self::RELATIONS.'"><sheets><sheet name="Records" sheetId="1" r:id="rId1"/></sheets></workbook>',
        'xl/_rels/workbook.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">'
            .'<Relationship Id="rId1" Type="'.self::RELATIONS.'/worksheet" Target="worksheets/sheet1.xml"/>'
            .'<Relationship Id="rId2" Type="'.self::RELATIONS.'/styles" Target="styles.xml"/></Relationships>',
        'xl/styles.xml' => '<styleSheet xmlns="'.self::MAIN.'"><fonts count="2"><font/><font><b/></font></fonts><fills count="2"><fill><patternFill patternType="none"/></fill>'
            .'<fill><patternFill patternType="gray125"/></fill></fills><borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs>'
            .'<cellXfs count="3"><xf fontId="0"/><xf fontId="1" applyFont="1"/><xf fontId="0" numFmtId="49" applyNumberFormat="1"/></cellXfs></styleSheet>',
    ];

    private const BOLD = '1';

    /** As text, so that what somebody types into it later stays as it was typed. */
    private const TEXT = '2';

    private const FLUSHED = 500;

    /** @param  iterable<list<string|int|float>>  $rows */
    public static function write(string $path, iterable $rows): void
    {
        $sheet = (string) tempnam(sys_get_temp_dir(), 'sheet');
        try {
            self::sheet($sheet, $rows);
            $zip = new \ZipArchive;
            $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            foreach (self::PARTS as $name => $content) {
                $zip->addFromString($name, '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'.$content);
            }
            $zip->addFile($sheet, 'xl/worksheets/sheet1.xml');
            $zip->close();
        } finally {
            @unlink($sheet);
        }
    }

    /** @param  iterable<list<string|int|float>>  $rows */
    private static function sheet(string $path, iterable $rows): void
    {
        $xml = new \XMLWriter;
        $xml->openUri($path);
        $xml->startDocument('1.0', 'UTF-8', 'yes');
        $xml->startElement('worksheet');
        $xml->writeAttribute('xmlns', self::MAIN);
        $xml->writeRaw(
            '<sheetViews><sheetView workbookViewId="0"><pane ySplit="1" topLeftCell="A2" activePane="bottomLeft" state="frozen"/></sheetView></sheetViews>',
        );
        $xml->startElement('sheetData');
        $at = 0;
        foreach ($rows as $row) {
            $at++;
            $xml->startElement('row');
            $xml->writeAttribute('r', (string) $at);
            foreach ($row as $cell) {
                $xml->startElement('c');
                if (is_string($cell)) {
                    $xml->writeAttribute('s', $at === 1 ? self::BOLD : self::TEXT);
                    if ($cell !== '') {
                        $xml->writeAttribute('t', 'inlineStr');
                        $xml->startElement('is');
                        $xml->startElement('t');
                        $xml->writeAttribute('xml:space', 'preserve');
                        $xml->text(TableWriter::text($cell));
                        $xml->endElement();
                        $xml->endElement();
                    }
                } else {
                    $xml->writeElement('v', is_float($cell) ? TableWriter::number($cell) : (string) $cell);
                }
                $xml->endElement();
            }
            $xml->endElement();
            if ($at % self::FLUSHED === 0) {
                $xml->flush();
            }
        }
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();
        $xml->flush();
    }
}
