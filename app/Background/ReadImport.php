<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Interchange\RunImport;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A file that waits to be read, checked, taken or taken back: what its state says. */
final class ReadImport implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again: nothing is taken twice. */
    public int $tries = 20;

    public int $timeout = 0;

    public function __construct(private readonly int $importId)
    {
    }

    public function handle(RunImport $run): void
    {
        $import = Import::query()->find($this->importId);
        if ($import instanceof Import) {
            $run->handle($import);
        }
    }
}
