<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Writes one sheet as ODS.
 *
 * Source: OASIS OpenDocument 1.2, part 1, 9.1 tables; part 3, 2.2 the package and its mimetype file; from memory.
 */
final class OdsWriter
{
    private const OPENING = '<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0"'
        .' xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" xmlns:fo="urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0"'
        .' office:version="1.2"><office:automatic-styles><style:style style:name="head" style:family="table-cell"><style:text-properties fo:font-weight="bold"/></style:style></office:automatic-styles>'
        .'<office:body><office:spreadsheet><table:table table:name="Records">';

    private const CLOSING = '</table:table></office:spreadsheet></office:body></office:document-content>';

    private const MANIFEST = '<?xml version="1.0" encoding="UTF-8"?><manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.2">'
        .'<manifest:file-entry manifest:full-path="/" manifest:media-type="application/vnd.oasis.opendocument.spreadsheet"/>'
        .'<manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>';

    /** @param  iterable<list<string|int|float>>  $rows */
    public static function write(string $path, iterable $rows): void
    {
        $content = (string) tempnam(sys_get_temp_dir(), 'sheet');
        try {
            $file = fopen($content, 'wb') ?: throw new \RuntimeException('There is no room for a file in passing.');
            fwrite($file, '<?xml version="1.0" encoding="UTF-8"?>'.self::OPENING);
            $style = ' table:style-name="head"';
            foreach ($rows as $row) {
                fwrite(
                    $file,
                    '<table:table-row>'.implode(
                        '',
                        array_map(fn (string|int|float $cell) => self::cell($cell, $style), $row),
                    ).'</table:table-row>',
                );
                $style = '';
            }
            fwrite($file, self::CLOSING);
            fclose($file);
            $zip = new \ZipArchive;
            $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            // Stored first and as it is: by that the file is known.
            $zip->addFromString('mimetype', 'application/vnd.oasis.opendocument.spreadsheet');
            $zip->setCompressionName('mimetype', \ZipArchive::CM_STORE);
            $zip->addFile($content, 'content.xml');
            $zip->addFromString('META-INF/manifest.xml', self::MANIFEST);
            $zip->close();
        } finally {
            @unlink($content);
        }
    }

    private static function cell(string|int|float $cell, string $style): string
    {
        if (! is_string($cell)) {
            $number = is_float($cell) ? TableWriter::number($cell) : (string) $cell;

            return "<table:table-cell office:value-type=\"float\" office:value=\"$number\"><text:p>$number</text:p></table:table-cell>";
        }
        if ($cell === '') {
            return '<table:table-cell/>';
        }
        // Several spaces in a row are written as a count of them.
        $escaped = htmlspecialchars(TableWriter::text($cell), ENT_XML1 | ENT_COMPAT, 'UTF-8');
        $spaced = preg_replace_callback('/ {2,}|^ | $/', fn (array $run) => '<text:s text:c="'.strlen($run[0]).'"/>', $escaped) ?? $escaped;

        return "<table:table-cell$style office:value-type=\"string\"><text:p>".implode(
            '</text:p><text:p>',
            explode("\n", $spaced),
        ).'</text:p></table:table-cell>';
    }
}
