<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Interchange\RunImport;
use App\Models\Import;
use Illuminate\Console\Command;

final class ImportCommand extends Command
{
    protected $signature = 'almanac:import {import}';

    protected $description = 'Work on a file that was handed in, as far as its state says, where the worker is not to';

    public function handle(RunImport $run): int
    {
        $run->handle(Import::query()->whereKey($this->argument('import'))->firstOrFail());

        return self::SUCCESS;
    }
}
