<?php

declare(strict_types=1);

namespace Almanac\Files;

/** Which picture is taken for the logo on the office's papers, and how large it is kept. */
final readonly class Logo
{
    public const MOST_BYTES = 5_000_000;

    /** More would have to be unpacked into more memory than a request has. */
    private const MOST_PIXELS = 12_000_000;

    /** On paper it stands at most 80 mm wide and 18 mm high: this is finer than anybody prints it. */
    private const WIDEST = 1_200;

    private const HIGHEST = 360;

    /** @param  positive-int  $width in pixels, as it is kept
     *  @param  positive-int  $height in pixels */
    private function __construct(public int $width, public int $height)
    {
    }

    /**
     * @param string $found the media type that the content has, as a detector of the system says
     * @param int $bytes its size
     * @param int $width in pixels; 0 when the picture does not tell
     * @param int $height in pixels
     *
     * @throws FileRefused when it is empty, too large, or no picture
     */
    public static function of(string $found, int $bytes, int $width, int $height): self
    {
        return match (true) {
            $bytes === 0 => throw FileRefused::empty(),
            $bytes > self::MOST_BYTES => throw FileRefused::tooLarge($bytes, self::MOST_BYTES),
            ! FileType::isPicture($found) || $width < 1 || $height < 1 => throw FileRefused::noPicture(),
            $width > intdiv(self::MOST_PIXELS, $height) => throw FileRefused::tooManyPixels(self::MOST_PIXELS),
            default => self::within($width, $height),
        };
    }

    /** Made smaller where it has to be, never larger, in its own proportions. */
    private static function within(int $width, int $height): self
    {
        $share = min(1.0, self::WIDEST / $width, self::HIGHEST / $height);

        return new self(max(1, (int) round($width * $share)), max(1, (int) round($height * $share)));
    }
}
