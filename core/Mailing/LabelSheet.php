<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/**
 * A page of labels, or an envelope, which is a page with one. All in millimetres, from the top left corner.
 *
 * The sizes are those in which stationers sell such sheets: common practice, no published source. Envelopes: No. 10 is
 * 4⅛ by 9½ inches (common practice in the United States); DL is 110 by 220 mm (ISO 269).
 */
final readonly class LabelSheet
{
    private const INCH = 25.4;

    private const LEAST_WIDTH = 20.0;

    private const LEAST_HEIGHT = 10.0;

    private function __construct(
        public string $key,
        public string $title,
        public float $pageWidth,
        public float $pageHeight,
        public int $across,
        public int $down,
        public float $left,
        public float $top,
        public float $width,
        public float $height,
        public float $stepAcross,
        public float $stepDown,
        public bool $isEnvelope = false,
    ) {
    }

    /** @return array<string, self> by key */
    public static function all(): array
    {
        $in = self::INCH;
        [$wide, $high] = [8.5 * $in, 11 * $in];

        return array_column([
            new self(
                'letter-30', '30 to a Letter sheet, 2⅝ × 1 in', $wide, $high, 3, 10, 0.1875 * $in, 0.5 * $in, 2.625 * $in,
                $in, 2.75 * $in, $in,
            ),
            new self(
                'letter-10', '10 to a Letter sheet, 4 × 2 in', $wide, $high, 2, 5, 0.15625 * $in, 0.5 * $in, 4 * $in,
                2 * $in, 4.1875 * $in, 2 * $in,
            ),
            new self('a4-21', '21 to an A4 sheet, 63.5 × 38.1 mm', 210, 297, 3, 7, 7.25, 15.15, 63.5, 38.1, 66.0, 38.1),
            new self('a4-24', '24 to an A4 sheet, 70 × 37 mm', 210, 297, 3, 8, 0, 0.5, 70, 37, 70, 37),
            new self('no-10', 'Envelope No. 10, 9½ × 4⅛ in', 9.5 * $in, 4.125 * $in, 1, 1, 100, 45, 120, 50, 0, 0, true),
            new self('dl', 'Envelope DL, 220 × 110 mm', 220, 110, 1, 1, 95, 48, 110, 52, 0, 0, true),
        ], null, 'key');
    }

    /** @throws MailingRefused when there is none */
    public static function named(string $key): self
    {
        return self::all()[$key] ?? throw MailingRefused::unknownSheet($key);
    }

    /**
     * A sheet of one's own.
     *
     * @param float $left of the first label
     * @param float $gapAcross between two labels
     *
     * @throws MailingRefused when they do not fit, or are too small to be written on
     */
    public static function own(
        float $pageWidth,
        float $pageHeight,
        int $across,
        int $down,
        float $left,
        float $top,
        float $width,
        float $height,
        float $gapAcross,
        float $gapDown,
    ): self {
        if ($width < self::LEAST_WIDTH || $height < self::LEAST_HEIGHT) {
            throw MailingRefused::tooSmall(self::LEAST_WIDTH, self::LEAST_HEIGHT);
        }
        $isInside = min($across, $down) >= 1 && min($left, $top, $gapAcross, $gapDown) >= 0
            && $left + $across * $width + ($across - 1) * $gapAcross <= $pageWidth + 0.5
            && $top + $down * $height + ($down - 1) * $gapDown <= $pageHeight + 0.5;

        return $isInside
            ? new self(
                'own', "$across × $down on a sheet of our own", $pageWidth, $pageHeight, $across, $down, $left, $top,
                $width, $height, $width + $gapAcross, $height + $gapDown,
            )
            : throw MailingRefused::doesNotFit();
    }

    public function count(): int
    {
        return $this->across * $this->down;
    }

    /**
     * Where a label is, counted from nought over all pages.
     *
     * @return array{int, float, float} the page, from nought, and its left and top
     */
    public function place(int $at): array
    {
        $onPage = $at % $this->count();

        return [
            intdiv($at, $this->count()),
            $this->left + $onPage % $this->across * $this->stepAcross,
            $this->top + intdiv($onPage, $this->across) * $this->stepDown,
        ];
    }

    /** @throws MailingRefused when the sheet has no such label */
    public function startAt(int $label): int
    {
        return $label >= 1 && $label <= $this->count() ? $label - 1 : throw MailingRefused::startsPastTheEnd($this->count());
    }

    /** How many sheets so many labels take that begin at one of them. */
    public function sheets(int $labels, int $start): int
    {
        return $labels === 0 ? 0 : (int) ceil(($start + $labels) / $this->count());
    }
}
