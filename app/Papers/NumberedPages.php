<?php

declare(strict_types=1);

namespace App\Papers;

use TCPDF;

/** Pages of the PDF library, with a foot of our own. */
final class NumberedPages extends TCPDF
{
    /** @var (\Closure(self): void)|null */
    public ?\Closure $foot = null;

    public function __construct(string $paper)
    {
        parent::__construct('P', 'mm', $paper, true, 'UTF-8');
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
