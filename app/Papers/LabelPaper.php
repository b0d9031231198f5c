<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Addresses\Formatter;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LabelSheet;
use App\Models\Office;

/** Labels and envelopes, ready for the printer: each text as large as its label allows. */
final class LabelPaper
{
    private const INK = [32, 38, 45];

    private const LARGEST = 11.0;

    private const SMALLEST = 5.5;

    /** Millimetres that are left free at the edge of a label: no printer meets it exactly. */
    private const EDGE = 2.5;

    /** A line of text is so many times its size high, and a point is so many millimetres. */
    private const LEADING = 1.2;

    private const POINT = 0.352778;

    private NumberedPages $pdf;

    private PaperFonts $fonts;

    /**
     * @param list<Envelope> $envelopes
     * @param int $start the label of the first sheet at which it begins, from nought
     * @param int $copies of each
     *
     * @return string the PDF
     */
    public function pdf(LabelSheet $sheet, array $envelopes, int $start, int $copies, Office $office): string
    {
        $this->pdf = new NumberedPages([$sheet->pageWidth, $sheet->pageHeight], $sheet->isEnvelope ? 'Envelopes' : 'Labels');
        $this->fonts = new PaperFonts($this->pdf);
        $this->pdf->SetMargins(0, 0, 0);
        $this->pdf->SetAutoPageBreak(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->setCellPaddings(0, 0, 0, 0);
        $this->pdf->SetTextColor(...self::INK);
        $page = -1;
        $at = $start;
        foreach ($envelopes as $envelope) {
            for ($copy = 0; $copy < $copies; $copy++) {
                [$onPage, $left, $top] = $sheet->place($at++);
                if ($onPage !== $page) {
                    $page = $onPage;
                    $this->pdf->AddPage();
                    $this->from($sheet, $office);
                }
                $this->write($envelope->lines, $left, $top, $sheet->width, $sheet->height, ! $sheet->isEnvelope);
            }
        }
        if ($page < 0) {
            $this->pdf->AddPage();
        }

        return $this->pdf->Output('', 'S');
    }

    /** Who sends it, on an envelope. */
    private function from(LabelSheet $sheet, Office $office): void
    {
        if ($sheet->isEnvelope && $office->envelope() !== []) {
            $this->write($office->envelope(), 8, 6, 70, 26, false, 8.5);
        }
    }

    /** @param  list<string>  $lines */
    private function write(
        array $lines,
        float $left,
        float $top,
        float $width,
        float $height,
        bool $isCentred,
        float $largest = self::LARGEST,
    ): void {
        [$wide, $high] = [$width - 2 * self::EDGE, $height - 2 * self::EDGE];
        $size = $largest;
        // As large as all its lines allow; what is still too long at the smallest goes on in the next line.
        while (
            $size > self::SMALLEST
            && (count($lines) * $size * self::LEADING * self::POINT > $high || $this->widest($lines, $size) > $wide)
        ) {
            $size -= 0.5;
        }
        $lines = $this->widest($lines, $size) > $wide ? Formatter::onLabel($lines) : $lines;
        $step = min($size * self::LEADING * self::POINT, $high / max(1, count($lines)));
        $y = $top + self::EDGE + ($isCentred ? max(0, ($high - count($lines) * $step) / 2) : 0);
        foreach ($lines as $line) {
            $this->fonts->set(PaperFonts::TEXT, $size, $line);
            $this->pdf->SetXY($left + self::EDGE, $y);
            $this->pdf->Cell($wide, $step, $line, 0, 0, 'L', false, '', 1);
            $y += $step;
        }
    }

    /** @param  list<string>  $lines */
    private function widest(array $lines, float $size): float
    {
        $widest = 0.0;
        foreach ($lines as $line) {
            $this->fonts->set(PaperFonts::TEXT, $size, $line);
            $widest = max($widest, (float) $this->pdf->GetStringWidth($line));
        }

        return $widest;
    }
}
