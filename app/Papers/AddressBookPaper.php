<?php

declare(strict_types=1);

namespace App\Papers;

use App\Models\Office;

/** The book on paper: an address book by letter in two columns, or a list of phones. */
final class AddressBookPaper
{
    private const INK = [32, 38, 45];

    private const QUIET = [89, 98, 108];

    private const SIDE = 15.0;

    private const TOP = 22.0;

    private const FOOT = 16.0;

    private const GUTTER = 8.0;

    private NumberedPages $pdf;

    private PaperFonts $fonts;

    private int $columns;

    private int $column = 0;

    /**
     * @param iterable<array{letter: string, name: string, lines: list<string>}> $entries in order
     * @param int $columns on a page
     *
     * @return string the PDF
     */
    public function pdf(Office $office, string $title, iterable $entries, int $columns): string
    {
        $this->columns = $columns;
        $this->pdf = NumberedPages::usual($office, $title);
        $this->fonts = new PaperFonts($this->pdf);
        $this->pdf->SetMargins(self::SIDE, self::TOP, self::SIDE);
        $this->pdf->SetAutoPageBreak(false);
        $this->pdf->setCellPaddings(0, 0, 0, 0);
        $this->pdf->foot = fn () => $this->edges($office->name, $title);
        $this->pdf->AddPage();
        $this->pdf->SetXY($this->left(), self::TOP);
        $letter = null;
        foreach ($entries as $entry) {
            $isNew = $entry['letter'] !== $letter;
            $this->needs(($isNew ? 9 : 0) + 5 + 4 * count($entry['lines']));
            if ($isNew) {
                $letter = $entry['letter'];
                $this->line($letter, PaperFonts::HEADING, 13, self::INK, 8);
            }
            $this->line($entry['name'], PaperFonts::STRONG, 9.5, self::INK, 4.6);
            foreach ($entry['lines'] as $line) {
                $this->line($line, PaperFonts::TEXT, 8.5, self::QUIET, 4);
            }
            $this->pdf->SetY($this->pdf->GetY() + 1.6);
        }

        return $this->pdf->Output('', 'S');
    }

    private function edges(string $office, string $title): void
    {
        $this->pdf->SetTextColor(...self::QUIET);
        $this->fonts->set(PaperFonts::TEXT, 8, "$office $title");
        $this->pdf->SetXY(self::SIDE, 11);
        $this->pdf->Cell(0, 5, "$office · $title", 0, 0, 'L');
        $this->pdf->SetXY(self::SIDE, $this->pdf->getPageHeight() - 11);
        $this->pdf->Cell(0, 5, 'Page '.$this->pdf->getAliasNumPage().' of '.$this->pdf->getAliasNbPages(), 0, 0, 'L');
    }

    /** @param  array{int, int, int}  $colour */
    private function line(string $text, string $font, float $size, array $colour, float $height): void
    {
        $this->fonts->set($font, $size, $text);
        $this->pdf->SetTextColor(...$colour);
        $this->pdf->SetX($this->left());
        // What is too long for the column is set closer.
        $this->pdf->Cell($this->width(), $height, $text, 0, 0, 'L', false, '', 1);
        $this->pdf->SetY($this->pdf->GetY() + $height);
    }

    private function needs(float $height): void
    {
        if ($this->pdf->GetY() + $height <= $this->pdf->getPageHeight() - self::FOOT) {
            return;
        }
        $this->column = ($this->column + 1) % $this->columns;
        if ($this->column === 0) {
            $this->pdf->AddPage();
        }
        $this->pdf->SetXY($this->left(), self::TOP);
    }

    private function width(): float
    {
        return ($this->pdf->getPageWidth() - 2 * self::SIDE - ($this->columns - 1) * self::GUTTER) / $this->columns;
    }

    private function left(): float
    {
        return self::SIDE + $this->column * ($this->width() + self::GUTTER);
    }
}
