<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Ledger\ImportDocuments;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A file of documents that waits to be checked, or to be taken: what its state says. */
final class ReadImport implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again: it is wholly in or wholly out. */
    public int $tries = 20;

    public int $timeout = 0;

    public function __construct(private readonly int $importId)
    {
    }

    public function handle(ImportDocuments $documents): void
    {
        $import = Import::query()->find($this->importId);
        match ($import?->state) {
            'checking' => $documents->check($import),
            'taking', 'counting' => $documents->take($import),
            default => null,
        };
    }
}
