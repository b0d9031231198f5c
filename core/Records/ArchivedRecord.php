<?php

declare(strict_types=1);

namespace Almanac\Records;

/** An archived record can only be restored. Nothing was written. */
final class ArchivedRecord extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('This record is archived. Restore it to change it.');
    }
}
