<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Mailing\WriteLetters;
use App\Models\LetterRun;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Letters that wait to be written. */
final class WriteLettersOfRun implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again: what is written is not written twice. */
    public int $tries = 20;

    public int $timeout = 0;

    public function __construct(private readonly int $runId)
    {
    }

    public function handle(WriteLetters $write): void
    {
        $run = LetterRun::query()->find($this->runId);
        if ($run instanceof LetterRun) {
            $write->handle($run);
        }
    }
}
