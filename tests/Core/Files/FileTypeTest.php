<?php

declare(strict_types=1);

namespace Tests\Core\Files;

use Almanac\Files\FileRefused;
use Almanac\Files\FileType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FileTypeTest extends TestCase
{
    private const DOCX = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';

    /** @return iterable<string, array{string, string, string, bool, bool}> name, what is found in it, kept as, a picture, can be shown */
    public static function taken(): iterable
    {
        yield 'a PDF' => ['a.pdf', 'application/pdf', 'application/pdf', false, true];
        yield 'a PDF that is called otherwise' => ['a.exe', 'application/pdf', 'application/pdf', false, true];
        yield 'a picture' => ['a.JPG', 'image/jpeg', 'image/jpeg', true, true];
        yield 'a picture that no browser shows' => ['a.tif', 'image/tiff', 'image/tiff', false, false];
        yield 'text' => ['a.txt', 'text/plain', 'text/plain', false, false];
        yield 'a table' => ['a.CSV', 'text/plain', 'text/csv', false, false];
        yield 'an email' => ['a.eml', 'text/plain', 'message/rfc822', false, false];
        yield 'a contact' => ['a.vcf', 'text/vcard', 'text/vcard', false, false];
        yield 'a letter' => ['a.docx', self::DOCX, self::DOCX, false, false];
        yield 'a letter that looks like an archive' => ['a.docx', 'application/zip', self::DOCX, false, false];
        yield 'an open letter' => [
            'a.odt',
            'application/vnd.oasis.opendocument.text',
            'application/vnd.oasis.opendocument.text',
            false,
            false,
        ];
    }

    #[DataProvider('taken')]
    public function test_it_is_kept_by_what_is_in_it(string $name, string $found, string $kept, bool $isPicture, bool $canBeShown): void
    {
        $this->assertSame($kept, FileType::of($name, $found, 1)->mediaType);
        $this->assertSame([$isPicture, $canBeShown], [FileType::isPicture($kept), FileType::canBeShown($kept)]);
    }

    public function test_what_a_browser_would_run_is_not_kept_whatever_it_is_called(): void
    {
        foreach (
            [
                'text/html',
                'image/svg+xml',
                'application/javascript',
                'text/javascript',
                'application/x-dosexec',
                'application/x-sh',
                'text/x-php',
                'application/xhtml+xml',
                'application/octet-stream',
            ] as $found
        ) {
            foreach (['a.pdf', 'a.png', 'a.txt', 'a.docx'] as $name) {
                try {
                    FileType::of($name, $found, 1);
                    $this->fail("$name of $found was taken");
                } catch (FileRefused $refusal) {
                    $this->assertStringContainsString($name, $refusal->getMessage());
                }
            }
        }
        $this->expectException(FileRefused::class);
        FileType::of('bundle.zip', 'application/zip', 1);
    }

    public function test_size_has_two_ends(): void
    {
        $this->assertSame('text/plain', FileType::of('a.txt', 'text/plain', FileType::MOST_BYTES)->mediaType);
        foreach (
            [
                0 => 'That file is empty.',
                FileType::MOST_BYTES + 1 => 'That file is 25.0 MB; the limit is 25.0 MB. Make it smaller, or split it.',
            ] as $bytes => $said
        ) {
            try {
                FileType::of('a.txt', 'text/plain', $bytes);
                $this->fail("$bytes bytes were taken");
            } catch (FileRefused $refusal) {
                $this->assertSame($said, $refusal->getMessage());
            }
        }
    }
}
