<?php

declare(strict_types=1);

namespace App\Papers;

use TCPDF;

/** Pages of the PDF library, with a foot of our own. */
final class NumberedPages extends TCPDF
{
    /** @var (\Closure(self): void)|null */
    public ?\Closure $foot = null;

    /** @param  string|array{float, float}  $paper  by name, or its width and height in millimetres */
    public function __construct(string|array $paper)
    {
        $isWide = is_array($paper) && $paper[0] > $paper[1];
        parent::__construct($isWide ? 'L' : 'P', 'mm', $paper, true, 'UTF-8');
        // Else the library writes its name on the first page.
        $this->tcpdflink = false;
    }

    public function Footer(): void
    {
        if ($this->foot !== null) {
            ($this->foot)($this);
        }
    }
}
