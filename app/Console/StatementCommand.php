<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Ledger\MakeStatement;
use App\Models\Job;
use Illuminate\Console\Command;

final class StatementCommand extends Command
{
    protected $signature = 'almanac:statement {job}';

    protected $description = 'Put a long statement on paper; started by the application itself';

    public function handle(MakeStatement $make): int
    {
        $make->make(Job::query()->findOrFail($this->argument('job')));

        return self::SUCCESS;
    }
}
