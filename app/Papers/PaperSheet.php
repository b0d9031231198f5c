<?php

declare(strict_types=1);

namespace App\Papers;

use App\Models\Office;
use Illuminate\Support\Facades\Storage;

/** A sheet of the office's own paper: its head, its fonts, page numbers; and what goes on it, from top to bottom. */
final class PaperSheet
{
    private const SIDE = 20.0;

    private const TOP = 18.0;

    private const FOOT = 22.0;

    private const INK = [32, 38, 45];

    private const QUIET = [89, 98, 108];

    private const RULE = [220, 212, 195];

    private const TEXT = PaperFonts::TEXT;

    private const STRONG = PaperFonts::STRONG;

    private const HEADING = PaperFonts::HEADING;

    private readonly NumberedPages $pdf;

    private readonly PaperFonts $fonts;

    public function __construct(private readonly Office $office, string $title)
    {
        $this->pdf = NumberedPages::usual($office, $title);
        $this->fonts = new PaperFonts($this->pdf);
        $this->pdf->SetMargins(self::SIDE, self::TOP, self::SIDE);
        $this->pdf->SetAutoPageBreak(true, self::FOOT);
        $this->pdf->setCellPaddings(0, 0.6, 0, 0.6);
        $this->pdf->foot = $this->foot(...);
        $this->begin();
    }

    /** What follows is a paper of its own: a new page, with its head, numbered from one. */
    public function begin(): void
    {
        $this->pdf->startPageGroup();
        $this->pdf->AddPage();
        $this->head();
    }

    /** Page numbers, and how to reach the office. */
    private function foot(): void
    {
        $this->pdf->SetY(-15);
        $this->ink(self::QUIET);
        $this->font(self::TEXT, 8);
        $reach = implode('  ·  ', array_filter([$this->office->name, $this->office->phone, $this->office->email]));
        $this->pdf->Cell($this->width() - 20, 5, $reach, 0, 0, 'L');
        $this->pdf->Cell(0, 5, 'Page '.$this->pdf->getPageNumGroupAlias().' of '.$this->pdf->getPageGroupAlias(), 0, 0, 'L');
    }

    /** @param  list<string>  $lines */
    public function address(array $lines, string $below = ''): void
    {
        $top = $this->pdf->GetY();
        foreach ($lines as $line) {
            $this->text($line);
        }
        if ($below !== '') {
            $this->text($below, 8.5, self::QUIET);
        }
        $this->pdf->SetY(max($this->pdf->GetY() + 8, $top + 32));
    }

    public function heading(string $text, float $size = 17): void
    {
        $this->needs($size * 2.5);
        $this->ink(self::INK);
        $this->font(self::HEADING, $size, $text);
        $this->pdf->MultiCell(0, $size * 0.5, $text, 0, 'L');
        $this->pdf->Ln(2);
    }

    /** @param  array{int, int, int}  $colour */
    public function text(string $text, float $size = 10, array $colour = self::INK, bool $isStrong = false): void
    {
        $this->ink($colour);
        $this->font($isStrong ? self::STRONG : self::TEXT, $size, $text);
        $this->pdf->MultiCell(0, $size * 0.5, $text, 0, 'L');
    }

    public function space(float $millimetres = 3): void
    {
        $this->pdf->Ln($millimetres);
    }

    /** @param  array<string, string>  $facts by their names; empty ones are left out */
    public function facts(array $facts): void
    {
        foreach (array_filter($facts, fn (string $value) => $value !== '') as $name => $value) {
            $this->ink(self::QUIET);
            $this->font(self::TEXT, 9);
            $this->pdf->Cell(34, 5, $name, 0, 0);
            $this->text($value);
        }
        $this->space();
    }

    /**
     * A table that goes on from page to page under the same headings; the first wide column wraps.
     *
     * @param list<array{string, float, bool}> $columns title, width in millimetres (0 for what is left), whether it holds figures
     * @param iterable<list<string>> $rows
     * @param list<list<string>> $totals of which the last is the whole
     * @param \Closure(int): void|null $tell how many rows are written, from time to time
     */
    public function table(array $columns, iterable $rows, array $totals = [], ?\Closure $tell = null): void
    {
        $wide = (int) array_search(0.0, array_column($columns, 1), true);
        $left = $this->width() - array_sum(array_column($columns, 1));
        $columns = array_map(fn (array $column) => [$column[0], $column[1] === 0.0 ? $left : $column[1], $column[2]], $columns);
        $this->titles($columns);
        $count = 0;
        foreach ($rows as $row) {
            $this->row($columns, $row, $wide, false);
            if (++$count % 200 === 0 && $tell !== null) {
                $tell($count);
            }
        }
        foreach ($totals as $at => $row) {
            $this->row($columns, $row, $wide, $at === count($totals) - 1);
        }
        $this->space(4);
    }

    public function content(): string
    {
        return $this->pdf->Output('', 'S');
    }

    /** @param  list<array{string, float, bool}>  $columns */
    private function titles(array $columns): void
    {
        $this->needs(18);
        $this->ink(self::QUIET);
        $this->font(self::TEXT, 8.5);
        foreach ($columns as [$title, $width, $isFigure]) {
            $this->pdf->Cell($width, 5, $title, 0, 0, $isFigure ? 'R' : 'L');
        }
        $this->pdf->Ln(5.5);
        $this->rule(0.3, self::QUIET);
    }

    /**
     * @param list<array{string, float, bool}> $columns
     * @param list<string> $row
     */
    private function row(array $columns, array $row, int $wide, bool $isTotal): void
    {
        $this->font($isTotal ? self::STRONG : self::TEXT, 9.5, $row[$wide]);
        // Counting lines is slow: only what may be longer than the column is measured.
        $lines =
            mb_strlen($row[$wide]) * 1.1 < $columns[$wide][1] ? 1 : max(1, $this->pdf->getNumLines($row[$wide], $columns[$wide][1] - 2));
        $height = 4.6 * $lines + 1.6;
        if ($this->pdf->GetY() + $height > $this->pdf->getPageHeight() - self::FOOT) {
            $this->pdf->AddPage();
            $this->titles($columns);
        }
        if ($isTotal) {
            $this->rule(0.3, self::INK);
        }
        $this->ink(self::INK);
        $top = $this->pdf->GetY();
        foreach ($columns as $at => [, $width, $isFigure]) {
            $this->font($isTotal ? self::STRONG : self::TEXT, 9.5, $row[$at]);
            if ($at === $wide && $lines > 1) {
                $this->pdf->MultiCell($width - 2, 4.6, $row[$at], 0, 'L', false, 0);
                $this->pdf->SetX($this->pdf->GetX() + 2);
            } else {
                $this->pdf->Cell($width, 4.6, $row[$at], 0, 0, $isFigure ? 'R' : 'L');
            }
        }
        $this->pdf->SetXY(self::SIDE, $top + $height);
        if (! $isTotal) {
            $this->rule(0.1, self::RULE);
        }
    }

    private function head(): void
    {
        $top = $this->pdf->GetY();
        $logo = $this->office->logo_path === null ? null : Storage::get($this->office->logo_path);
        if (is_string($logo)) {
            $this->pdf->Image('@'.$logo, self::SIDE, $top, 80, 18, '', '', '', true, 150, '', false, false, 0, 'LT');
        }
        $this->pdf->SetXY(self::SIDE, $top);
        $this->font(self::HEADING, 13, $this->office->name);
        $this->ink(self::INK);
        $this->pdf->Cell(0, 7, $this->office->name, 0, 1, 'R');
        $this->ink(self::QUIET);
        foreach ([...array_slice($this->office->envelope(), 1), $this->office->phone, $this->office->email] as $line) {
            if ($line !== '') {
                $this->font(self::TEXT, 9, $line);
                $this->pdf->Cell(0, 4.4, $line, 0, 1, 'R');
            }
        }
        $this->pdf->SetY(max($this->pdf->GetY(), $top + 20) + 6);
    }

    private function width(): float
    {
        return $this->pdf->getPageWidth() - 2 * self::SIDE;
    }

    /** Begins a new page where less than that is left of this one. */
    private function needs(float $millimetres): void
    {
        if ($this->pdf->GetY() + $millimetres > $this->pdf->getPageHeight() - self::FOOT) {
            $this->pdf->AddPage();
        }
    }

    /** @param  array{int, int, int}  $colour */
    private function rule(float $width, array $colour): void
    {
        $this->pdf->SetLineStyle(['width' => $width, 'color' => $colour]);
        $this->pdf->Line(self::SIDE, $this->pdf->GetY(), $this->pdf->getPageWidth() - self::SIDE, $this->pdf->GetY());
    }

    /** @param  array{int, int, int}  $colour */
    private function ink(array $colour): void
    {
        $this->pdf->SetTextColor(...$colour);
    }

    private function font(string $name, float $size, string $text = ''): void
    {
        $this->fonts->set($name, $size, $text);
    }
}
