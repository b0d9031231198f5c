<?php

declare(strict_types=1);

namespace App\Papers;

use App\Models\Office;
use TCPDF;

/** Pages of the PDF library, with a foot of our own. */
final class NumberedPages extends TCPDF
{
    /** @var (\Closure(self): void)|null */
    public ?\Closure $foot = null;

    /** @param  string|array{float, float}  $paper  by name, or its width and height in millimetres */
    public function __construct(string|array $paper, string $title)
    {
        $isWide = is_array($paper) && $paper[0] > $paper[1];
        parent::__construct($isWide ? 'L' : 'P', 'mm', $paper, true, 'UTF-8');
        // Else the library writes its name on the first page.
        $this->tcpdflink = false;
        $this->SetTitle($title);
        $this->SetCreator('Neat Almanac');
        $this->setPrintHeader(false);
        $this->setFontSubsetting(true);
    }

    /** On the paper that is usual where the office is. */
    public static function usual(Office $office, string $title): self
    {
        return new self(in_array($office->country, ['US', 'CA'], true) ? 'LETTER' : 'A4', $title);
    }

    public function Footer(): void
    {
        if ($this->foot !== null) {
            ($this->foot)($this);
        }
    }
}
