<?php

declare(strict_types=1);

namespace App\Outside;

use App\Models\Message;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Mime\Email;

/**
 * Where messages leave the office: a stand-in for a mail server. A message goes into it with what is kept of it, or not
 * at all.
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
        return (new Email())->from($by->sendsFrom())->to(...$to)->subject($subject)->date($this->clock->now());
    }

    /**
     * Runs inside the transaction of what is kept of it: when that fails, the message is taken out again.
     *
     * @param list<string> $to
     * @param string $message as it leaves
     */
    public function put(Party $party, ?int $documentId, array $to, string $subject, string $message, User $by): void
    {
        $path = 'outbox/'.Str::uuid().'.eml';
        DB::afterRollBack(fn () => Storage::delete($path));
        Storage::put($path, $message);
        Message::query()->create([
            'party_id' => $party->id,
            'document_id' => $documentId,
            'to' => implode(', ', $to),
            'subject' => $subject,
            'path' => $path,
            'user_id' => $by->id,
            'at' => $this->clock->now(),
        ]);
    }

    /** As it left; empty where it is gone. */
    public function read(Message $message): string
    {
        return (string) Storage::get($message->path);
    }
}
