<?php

declare(strict_types=1);

namespace App\Outside;

use Almanac\Mailing\MessageState;
use App\Background\SendMessage;
use App\Models\MailServer;
use App\Models\Message;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/**
 * Where messages leave the office: by its mail server, where it has one; else they are kept here only. A message goes into
 * it with what is kept of it, or not at all.
 */
final readonly class Outbox
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * A message to be written.
     *
     * @param list<string> $to
     */
    public function begin(array $to, string $subject, User $by): Email
    {
        $email = (new Email())->to(...$to)->subject($subject)->date($this->clock->now());
        $sender = MailServer::current()->sender ?? '';

        return $sender === '' ? $email->from($by->sendsFrom()) : $email->from(new Address($sender, $by->name))->replyTo($by->sendsFrom());
    }

    /**
     * Runs inside the transaction of what is kept of it: when that fails, the message is taken out again.
     *
     * @param list<string> $to
     * @param string $message as it leaves
     */
    public function put(
        Party $party,
        ?int $documentId,
        array $to,
        string $subject,
        string $message,
        User $by,
        ?int $engagementId = null,
    ): void {
        $path = 'outbox/'.Str::uuid().'.eml';
        DB::afterRollBack(fn () => Storage::delete($path));
        Storage::put($path, $message);
        $isSent = MailServer::query()->exists();
        $kept = Message::query()->create([
            'party_id' => $party->id,
            'document_id' => $documentId,
            'engagement_id' => $engagementId,
            'to' => implode(', ', $to),
            'subject' => $subject,
            'path' => $path,
            'user_id' => $by->id,
            'at' => $this->clock->now(),
            'state' => $isSent ? MessageState::Waiting : MessageState::Kept,
        ]);
        if ($isSent) {
            SendMessage::dispatch($kept->id);
        }
    }

    /** As it left; empty where it is gone. */
    public function read(Message $message): string
    {
        return (string) Storage::get($message->path);
    }
}
