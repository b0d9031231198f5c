<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Http\Data\Records\HappeningData;
use App\Models\Change;
use App\Models\Document;
use App\Models\DocumentEvent;
use App\Models\Party;
use App\Models\Payment;

/** Reads since when a record is in the book and by whom, and what happened with it last. */
final class ReadHistory
{
    public function added(Party $party): ?HappeningData
    {
        $first = Change::query()->with('user')->where('subject_id', $party->id)->oldest('id')->first();

        return match (true) {
            $first !== null => HappeningData::of($first->at, $first->user->name, 'Added'),
            $party->created_at !== null => HappeningData::of($party->created_at, '', 'Added'),
            default => null,
        };
    }

    /** The latest of what was noted, of what became of its documents, and of payments; null for nothing yet. */
    public function last(Party $party): ?HappeningData
    {
        $happenings = array_filter([$this->noted($party), $this->ofDocuments($party), $this->paid($party)]);
        usort($happenings, fn (HappeningData $a, HappeningData $b) => $b->at <=> $a->at);

        return $happenings[0] ?? null;
    }

    private function noted(Party $party): ?HappeningData
    {
        $noted = Change::query()
            ->with('user', 'logEntry')
            ->where('subject_id', $party->id)
            ->whereNotNull('log_entry_id')
            ->latest('id')
            ->first();

        return $noted?->logEntry === null
            ? null
            : HappeningData::of(
                $noted->at,
                $noted->user->name,
                ucfirst($noted->logEntry->kind->value).': '.strtok($noted->logEntry->text, "\n"),
            );
    }

    private function ofDocuments(Party $party): ?HappeningData
    {
        $event = DocumentEvent::query()->with('user', 'document')
            ->whereIn('document_id', Document::query()->select('id')->where('party_id', $party->id))
            ->latest('id')->first();

        return $event === null ? null : HappeningData::of($event->at, $event->user->name, $event->document->title().': '.$event->text);
    }

    private function paid(Party $party): ?HappeningData
    {
        $payment = Payment::query()->with('user')->where('party_id', $party->id)->latest('id')->first();

        return $payment?->created_at === null
            ? null
            : HappeningData::of(
                $payment->created_at,
                $payment->user->name,
                'Payment of '.$payment->amount()->toText().($payment->is_void ? ', void' : ''),
            );
    }
}
