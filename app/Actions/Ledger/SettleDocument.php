<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation;
use Almanac\Ledger\LedgerRefused;
use Almanac\Money\Money;
use App\Models\Document;
use App\Models\Payment;
use App\Models\Settlement;
use App\Models\User;

/** Lowers what is open of a document, and raises it again when that is taken back. Runs inside a transaction. */
final class SettleDocument
{
    /**
     * @param Payment|Document|null $from the money or the credit that is used; null for a discount or a write-off
     *
     * @throws LedgerRefused when the document is not open, or less of it is
     */
    public function handle(Document $document, string $kind, Money $amount, Day $on, User $by, Payment|Document|null $from = null, string $reason = ''): void
    {
        if (! $document->state->isOpen() || ! $document->kind->isOwed()) {
            throw LedgerRefused::wrongState('settled', $document->state->words());
        }
        $allocation = Allocation::to($document->entry(), $amount);
        Settlement::query()->create([
            'document_id' => $document->id, 'kind' => $kind,
            'payment_id' => $from instanceof Payment ? $from->id : null, 'credit_id' => $from instanceof Document ? $from->id : null,
            'amount_minor' => $allocation->amount->minor, 'day' => $on, 'reason' => $reason, 'user_id' => $by->id,
        ]);
        $document->setOpen($document->open()->minus($allocation->amount), $on);
        $document->save();
    }

    /** Takes one back: the document is open again by as much, and so is the money or the credit. */
    public function takeBack(Settlement $settlement, Day $today): void
    {
        $document = $settlement->document;
        $document->setOpen($document->open()->plus($document->money($settlement->amount_minor)), $today);
        $document->save();
        if ($settlement->payment !== null && $settlement->kind === Settlement::PAYMENT) {
            $settlement->payment->increment('unallocated_minor', $settlement->amount_minor);
        }
        if ($settlement->credit !== null) {
            $settlement->credit->setOpen($settlement->credit->open()->plus($document->money($settlement->amount_minor)), $today);
            $settlement->credit->save();
        }
        $settlement->delete();
    }
}
