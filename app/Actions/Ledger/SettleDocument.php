<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation as AllocationRule;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\LedgerRefused;
use Almanac\Money\Money;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\Payment;
use App\Models\User;

/** Lowers what is open of a document, and raises it again when that is taken back. Runs inside a transaction. */
final class SettleDocument
{
    /**
     * @param Payment|Document|null $from the money or the credit that is used; null for a discount or a write-off
     *
     * @throws LedgerRefused when the document is not open, or less of it is
     */
    public function handle(
        Document $document,
        string $kind,
        Money $amount,
        Day $on,
        User $by,
        Payment|Document|null $from = null,
        string $reason = '',
    ): void {
        DocumentAct::Settle->mustBeAllowed($document->kind, $document->state);
        $part = AllocationRule::to($document->entry(), $amount);
        Allocation::query()->create([
            'document_id' => $document->id, 'kind' => $kind,
            'payment_id' => $from instanceof Payment ? $from->id : null, 'credit_id' => $from instanceof Document ? $from->id : null,
            'amount_minor' => $part->amount->minor, 'allocated_on' => $on, 'reason' => $reason, 'user_id' => $by->id,
        ]);
        $document->setOpen($document->open()->minus($part->amount), $on);
        $document->saveWithDues();
    }

    /**
     * Takes one back: the document is open again by as much, and so is the money or the credit.
     *
     * @throws LedgerRefused when somebody has taken it back already
     */
    public function takeBack(Allocation $allocation, Day $today): void
    {
        if (Allocation::query()->whereKey($allocation->id)->delete() !== 1) {
            throw LedgerRefused::takenBackAlready();
        }
        $document = Document::query()->findOrFail($allocation->document_id);
        $document->setOpen($document->open()->plus($document->money($allocation->amount_minor)), $today);
        $document->saveWithDues();
        if ($allocation->payment_id !== null && $allocation->kind === Allocation::PAYMENT) {
            Payment::query()->whereKey($allocation->payment_id)->increment('unallocated_minor', $allocation->amount_minor);
        }
        if ($allocation->credit_id !== null) {
            $credit = Document::query()->findOrFail($allocation->credit_id);
            $credit->setOpen($credit->open()->plus($document->money($allocation->amount_minor)), $today);
            $credit->saveWithDues();
        }
    }
}
