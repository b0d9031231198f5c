<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** Somebody else has saved the document since it was read. */
final class StaleDocument extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct(
            'Somebody has saved this document in the meantime. Load it again; what you typed stays on this page until then.',
        );
    }
}
