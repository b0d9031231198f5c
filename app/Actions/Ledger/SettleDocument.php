<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation;
use Almanac\Ledger\DocumentAct;
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
        DocumentAct::Settle->mustBeAllowed($document->kind, $document->state);
        $allocation = Allocation::to($document->entry(), $amount);
        Settlement::query()->create([
            'document_id' => $document->id, 'kind' => $kind,
            'payment_id' => $from instanceof Payment ? $from->id : null, 'credit_id' => $from instanceof Document ? $from->id : null,
            'amount_minor' => $allocation->amount->minor, 'day' => $on, 'reason' => $reason, 'user_id' => $by->id,
        ]);
        $document->setOpen($document->open()->minus($allocation->amount), $on);
        $document->saveWithDues();
    }

    /**
     * Takes one back: the document is open again by as much, and so is the money or the credit.
     *
     * @throws LedgerRefused when somebody has taken it back already
     */
    public function takeBack(Settlement $settlement, Day $today): void
    {
        if (Settlement::query()->whereKey($settlement->id)->delete() !== 1) {
            throw LedgerRefused::takenBackAlready();
        }
        $document = Document::query()->findOrFail($settlement->document_id);
        $document->setOpen($document->open()->plus($document->money($settlement->amount_minor)), $today);
        $document->saveWithDues();
        if ($settlement->payment_id !== null && $settlement->kind === Settlement::PAYMENT) {
            Payment::query()->whereKey($settlement->payment_id)->increment('unallocated_minor', $settlement->amount_minor);
        }
        if ($settlement->credit_id !== null) {
            $credit = Document::query()->findOrFail($settlement->credit_id);
            $credit->setOpen($credit->open()->plus($document->money($settlement->amount_minor)), $today);
            $credit->saveWithDues();
        }
    }
}
