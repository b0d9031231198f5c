<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Ledger\ImportDocuments;
use App\Models\Import;
use Illuminate\Console\Command;

final class ImportCommand extends Command
{
    protected $signature = 'almanac:import {import} {--take}';

    protected $description = 'Check a file of documents that was handed in, or take it, where the worker is not to';

    public function handle(ImportDocuments $documents): int
    {
        $import = Import::query()->findOrFail($this->argument('import'));
        $this->option('take') === true ? $documents->take($import) : $documents->check($import);

        return self::SUCCESS;
    }
}
