<?php

declare(strict_types=1);

namespace App\Papers;

use TCPDF;
use TCPDF_FONTS;

/** The fonts that the application prints with, as the PDF library takes them. */
final class PaperFonts
{
    public const TEXT = 'AtkinsonHyperlegibleNext-Regular';

    public const STRONG = 'AtkinsonHyperlegibleNext-Bold';

    public const HEADING = 'Literata-SemiBold';

    /** The library's fonts for scripts that ours have no letters of. */
    private const OTHER_SCRIPTS = [
        '\p{Hangul}' => 'hysmyeongjostdmedium',
        '[\p{Hiragana}\p{Katakana}]' => 'kozgopromedium',
        '\p{Han}' => 'stsongstdlight',
        '[^\p{Latin}\p{Greek}\p{Cyrillic}\p{Common}\p{Inherited}]' => 'dejavusans',
    ];

    /** @var array<string, string> the library's own names of our fonts */
    private array $fonts = [];

    private readonly string $folder;

    public function __construct(private readonly TCPDF $pdf)
    {
        $this->folder = storage_path('framework/cache/fonts/');
        if (! is_dir($this->folder)) {
            mkdir($this->folder, 0700, true);
        }
    }

    /**
     * The text font knows Latin letters; what has others is set in the one of the headings, which knows Greek and Cyrillic
     * too, and what that lacks in one that the library brings. Those of East Asia come from whoever opens the file.
     *
     * @param float $size in points
     */
    public function set(string $name, float $size, string $text = ''): void
    {
        $isLatin = preg_match('/[^\x{0}-\x{24f}\x{1e00}-\x{1eff}\x{2000}-\x{206f}\x{20a0}-\x{20bf}\x{2212}]/u', $text) !== 1;
        if (! $isLatin) {
            foreach (self::OTHER_SCRIPTS as $script => $font) {
                if (preg_match("/$script/u", $text) === 1) {
                    $this->pdf->SetFont($font, '', $size);

                    return;
                }
            }
            $name = self::HEADING;
        }
        $this->fonts[$name] ??= $this->made($name);
        $this->pdf->SetFont($this->fonts[$name], '', $size, $this->folder.$this->fonts[$name].'.php');
    }

    private function made(string $name): string
    {
        $font = TCPDF_FONTS::addTTFfont(resource_path("fonts/$name.ttf"), 'TrueTypeUnicode', '', 32, $this->folder);

        return is_string($font) ? $font : throw new \LogicException("The font $name ships with the application.");
    }
}
