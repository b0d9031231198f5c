<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\LookAlikes\KeepSharedLines;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A line that very many share has another name: they wait to be found by it. */
final class IndexLine implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 0;

    public function __construct(private readonly string $value)
    {
        $this->onQueue('short');
    }

    public function handle(KeepSharedLines $lines): void
    {
        $lines->indexHolders($this->value);
    }
}
