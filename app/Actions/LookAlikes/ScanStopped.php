<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

/** Somebody has stopped a scan. */
final class ScanStopped extends \RuntimeException
{
}
