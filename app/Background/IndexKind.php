<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Finding\IndexEngagements;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** The cases or projects of a kind are found by other words now: one of its roles is called otherwise. */
final class IndexKind implements ShouldQueue
{
    use Queueable;

    public int $tries = 20;

    public int $timeout = 0;

    public function __construct(private readonly int $kindId)
    {
        $this->onQueue('short');
    }

    public function handle(IndexEngagements $index): void
    {
        $index->ofKind($this->kindId);
    }
}
