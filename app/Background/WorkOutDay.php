<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Office\BeginDay;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** What is different today though nothing happened, waiting to be worked out. */
final class WorkOutDay implements ShouldQueue
{
    use Queueable;

    public int $timeout = 0;

    public function handle(BeginDay $day): void
    {
        $day->handle();
    }
}
