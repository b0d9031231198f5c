<?php

declare(strict_types=1);

namespace App\Console;

use App\Http\OpenApi\Contract;
use Illuminate\Console\Command;

final class ContractCommand extends Command
{
    protected $signature = 'almanac:contract {--check : only say whether the file is up to date}';

    protected $description = 'Write docs/openapi.json';

    public function handle(Contract $contract): int
    {
        $json = $contract->json();
        if (! $this->option('check')) {
            file_put_contents(Contract::path(), $json);

            return self::SUCCESS;
        }
        if (@file_get_contents(Contract::path()) === $json) {
            $this->info('The contract is up to date.');

            return self::SUCCESS;
        }
        $this->error('docs/openapi.json is out of date: run ./almanac contract and commit it.');

        return self::FAILURE;
    }
}
