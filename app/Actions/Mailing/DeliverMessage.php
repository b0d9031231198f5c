<?php

declare(strict_types=1);

namespace App\Actions\Mailing;

use Almanac\Mailing\MessageState;
use App\Models\MailServer;
use App\Models\Message;
use App\Outside\MailWay;
use App\Outside\Outbox;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mime\Exception\ExceptionInterface;

/**
 * Hands a message to the mail server. It never goes out twice by itself: what was on its way when the worker died may have
 * gone out, is said to be so, and is sent again by somebody or not at all.
 */
final readonly class DeliverMessage
{
    public function __construct(private Outbox $outbox, private MailWay $way)
    {
    }

    public function handle(Message $message): void
    {
        if (! $this->begin($message)) {
            return;
        }
        $server = MailServer::current();
        $content = $this->outbox->read($message);
        try {
            if ($server === null || $content === '') {
                $this->end(
                    $message,
                    MessageState::Failed,
                    $server === null ? 'the office has no mail server any more' : 'it is no longer kept',
                );

                return;
            }
            $this->way->send($server, $server->sendsFor($message->user), explode(', ', $message->to), $content);
            $this->end($message, MessageState::Sent);
        } catch (TransportExceptionInterface|ExceptionInterface $why) {
            $this->end($message, MessageState::Failed, mb_strimwidth(preg_replace('/\s+/', ' ', $why->getMessage()) ?? '', 0, 200, '…'));
        }
    }

    /** Whether it is to be sent now. */
    private function begin(Message $message): bool
    {
        return DB::transaction(function () use ($message): bool {
            $message->refresh();
            if ($message->state === MessageState::Sending) {
                $this->end($message, MessageState::Failed, 'the program was stopped in the middle, so it may have gone out all the same');
            }
            if ($message->state !== MessageState::Waiting) {
                return false;
            }

            return $message->update(['state' => MessageState::Sending]);
        });
    }

    private function end(Message $message, MessageState $state, string $failure = ''): void
    {
        $message->update(['state' => $state, 'failure' => $failure]);
    }
}
