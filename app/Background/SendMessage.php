<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Mailing\DeliverMessage;
use App\Models\Message;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A message that waits for the mail server. */
final class SendMessage implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $messageId)
    {
        $this->onQueue('short');
    }

    public function handle(DeliverMessage $deliver): void
    {
        $message = Message::query()->find($this->messageId);
        if ($message instanceof Message) {
            $deliver->handle($message);
        }
    }
}
