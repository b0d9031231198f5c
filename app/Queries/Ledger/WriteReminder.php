<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Facts\Ledger\DocumentFigures;
use App\Facts\Ledger\LedgerFilter;
use App\Facts\Ledger\PartyBooks;
use App\Facts\Mailing\AddressLetters;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Papers\ReminderSheet;
use App\Papers\StatementPaper;
use App\Time\Clock;
use Illuminate\Validation\ValidationException;

/** Writes the letter that reminds of what is late. */
final readonly class WriteReminder
{
    public function __construct(private Clock $clock, private AddressLetters $letters)
    {
    }

    /**
     * The letter that asks for what is late, with interest where the office asks for it.
     *
     * @throws ValidationException when nothing is late
     */
    public function pdf(Party $party): string
    {
        $today = $this->clock->today();
        $filter = new LedgerFilter(['state' => 'overdue', 'side' => Side::Client->value], $today);
        $late = Document::query()
            ->where('party_id', $party->id)
            ->tap($filter->documents(...))
            ->select('documents.*')
            ->selectRaw($filter->partColumns())
            ->with('dues')
            ->orderBy('next_due_on')
            ->orderBy('id')
            ->get()
            ->each(fn (Document $document) => $document->setRelation('party', $party));
        if ($late->isEmpty()) {
            throw ValidationException::withMessages(['late' => 'Nothing is late: there is nothing to remind them of.']);
        }
        $rows = $sums = [];
        foreach ($late as $document) {
            $interest = DocumentFigures::interest($document, $today);
            $zero = Money::zero($document->currency);
            $rows[] = [$document, $interest];
            $sum = $sums[$document->currency] ?? [
                'open' => $zero,
                'interest' => $zero,
                'unused' => $this->unused($party, $document->currency, $today),
            ];
            $sums[$document->currency] = [
                'open' => $sum['open']->plus($document->money($document->partInList()[0] ?? 0)),
                'interest' => $sum['interest']->plus($interest ?? $zero),
                'unused' => $sum['unused'],
            ];
        }
        $salutation =
            $this->letters->handle($party->loadMissing('addressUses.address', 'heldPositions.company'), $today)->salutation ??
            'To whom it may concern:';

        return ReminderSheet::pdf(
            StatementPaper::address($party, Side::Client, $today),
            $salutation,
            $today,
            $rows,
            $sums,
            Office::current()->lateInterest() !== null,
        );
    }

    /** Money and credits of theirs that nothing is settled by yet. */
    private function unused(Party $party, string $currency, Day $today): Money
    {
        foreach (PartyBooks::ofMany([$party->id], $today)[$party->id] ?? [] as $standing) {
            if ($standing->side === Side::Client && $standing->currency === $currency) {
                return $standing->unallocated->plus($standing->credits);
            }
        }

        return Money::zero($currency);
    }
}
