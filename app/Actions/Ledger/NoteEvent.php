<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\Document;
use App\Models\DocumentEvent;
use App\Models\User;
use App\Time\Clock;

/** Writes into the history of a document. Runs inside the transaction of what happened. */
final readonly class NoteEvent
{
    public function __construct(private Clock $clock)
    {
    }

    public function handle(Document $document, string $text, User $by): void
    {
        DocumentEvent::query()->create([
            'document_id' => $document->id,
            'text' => mb_strimwidth($text, 0, 500, '…'),
            'user_id' => $by->id,
            'at' => $this->clock->now(),
        ]);
    }
}
