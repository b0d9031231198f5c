<?php

declare(strict_types=1);

namespace App\Backup;

/** A backup can't be written, or a file can't be restored; the message says why and what to do. */
final class BackupRefused extends \RuntimeException
{
}
