<?php

declare(strict_types=1);

namespace App\Actions\Mailing;

use Almanac\Mailing\MailingRefused;
use Almanac\Records\LogKind;
use App\Actions\Notes\WriteLogEntry;
use App\Models\Message;
use App\Models\User;
use App\Outside\Outbox;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Sends a message once more, as it was, to the same addresses. */
final readonly class SendAgain
{
    public function __construct(private Outbox $outbox, private WriteLogEntry $log, private Clock $clock)
    {
    }

    /** @throws MailingRefused when what was sent is no longer kept */
    public function handle(Message $message, User $by): void
    {
        $content = $this->outbox->read($message);
        if ($content === '') {
            throw MailingRefused::isGone();
        }
        // The day and the number of a message are its own (RFC 5322, 3.6.1 and 3.6.4).
        $content = preg_replace(
            ['/^Date: [^\r\n]*/m', '/^Message-ID: [^\r\n]*/mi'],
            [
                'Date: '.$this->clock->now()->toRfc2822String(),
                'Message-ID: <'.bin2hex(random_bytes(16)).'@'.substr((string) strrchr($by->sendsFrom(), '@'), 1).'>',
            ],
            $content,
            1,
        ) ?? $content;
        DB::transaction(function () use ($message, $content, $by): void {
            $this->outbox->put(
                $message->party, $message->document_id, explode(', ', $message->to), $message->subject, $content, $by,
                $message->engagement_id,
            );
            $this->log->sent($message->party, $message->engagement, LogKind::Email, "Sent again: $message->subject, to $message->to.", $by);
        });
    }
}
