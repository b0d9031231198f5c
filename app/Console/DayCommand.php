<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Office\BeginDay;
use Illuminate\Console\Command;

final class DayCommand extends Command
{
    protected $signature = 'almanac:day';

    protected $description = 'Work out what is different today though nothing happened; started by the application itself';

    public function handle(BeginDay $day): int
    {
        $day->handle();

        return self::SUCCESS;
    }
}
