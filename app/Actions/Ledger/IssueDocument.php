<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\LedgerRefused;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\StaleSave;
use App\Database\Series;
use App\Facts\Ledger\UseChecks;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Makes a draft count: it gets its number, is in the ledger, and can no longer be changed; or voids one. */
final readonly class IssueDocument
{
    public function __construct(
        private UseChecks $check,
        private KeepChain $chain,
        private SettleDocument $settle,
        private KeepStandings $standings,
        private NoteEvent $note,
        private Clock $clock,
    ) {
    }

    /**
     * @param bool $isConfirmed whether somebody was asked about the credit limit or about billing more than was ordered, and said yes
     * @param int|null $version the version that whoever issues it has seen; null where nobody has looked at it
     *
     * @throws LedgerRefused when it is no draft any more, or a credit is more than what it answers
     * @throws StaleSave when somebody else has saved it since
     * @throws ArchivedRecord when the record takes no new documents
     * @throws ValidationException when a stop or the credit limit is in the way
     */
    public function issue(Document $document, bool $isConfirmed, User $by, ?int $version = null): void
    {
        DB::transaction(function () use ($document, $isConfirmed, $by, $version): void {
            $document->refresh()->party->refresh()->assertInUse();
            DocumentAct::Issue->mustBeAllowed($document->kind, $document->state);
            StaleSave::unlessSeen($document->version, $version ?? $document->version, 'this document');
            if ($document->kind->isTheirs() && $document->number === null) {
                throw ValidationException::withMessages(['number' => 'Type the number that is printed on it.']);
            }
            $this->mustBeAllowed($document, $isConfirmed);
            $this->replaceFormer($document, $by);
            $document->number ??= $this->nextNumber($document->kind, $document->dated_on);
            $document->setOpen($document->total(), $document->dated_on);
            $document->saveWithDues();
            $this->note->handle($document, ($document->kind->isTheirs() ? 'entered as ' : 'issued as ').$document->number, $by);
            $this->settleSource($document, $by);
            $this->standings->refresh($document->party_id);
        });
    }

    /** @throws LedgerRefused when money or a credit has been used on it, or it is void already */
    public function void(Document $document, string $reason, User $by): void
    {
        DB::transaction(function () use ($document, $reason, $by): void {
            $document->refresh();
            DocumentAct::Void->mustBeAllowed($document->kind, $document->state);
            if (
                $document->kind->isPromise() &&
                $document
                    ->madeFromIt()
                    ->whereNotIn('state', [DocumentState::Void, DocumentState::Draft])
                    ->exists()
            ) {
                throw LedgerRefused::notNow('Another document was made from it and is in force. Void that first.');
            }
            foreach ($document->kind->isCredit() ? $document->creditAllocations()->get() : [] as $use) {
                $this->settle->takeBack($use, $this->clock->today());
            }
            if ($document->allocations()->exists()) {
                throw LedgerRefused::paidAlready();
            }
            $wasIssued = $document->state !== DocumentState::Draft;
            $document->fill(['state' => DocumentState::Void, 'open_minor' => 0, 'next_due_on' => null, 'settled_on' => null])->save();
            $document->dues()->update(['open_minor' => 0]);
            if ($wasIssued && $document->source !== null && $document->source->kind->isPromise()) {
                // It gives back what it took.
                $this->chain->refresh($document->source->load('lines'), $this->clock->today());
                $this->standings->refresh($document->source->party_id);
            }
            $this->note->handle($document, 'voided: '.$reason, $by);
            $this->standings->refresh($document->party_id);
        });
    }

    /** The revision before it is void from now on, and stays to be read. */
    private function replaceFormer(Document $document, User $by): void
    {
        if ($document->replaces_id === null) {
            return;
        }
        $former = Document::query()->findOrFail($document->replaces_id);
        DocumentAct::Revise->mustBeAllowed($former->kind, $former->state);
        if ($former->madeFromIt()->where('state', '!=', DocumentState::Void)->exists()) {
            throw LedgerRefused::notNow('Something was made from the revision before it. Copy it for another quote.');
        }
        $former->fill(['state' => DocumentState::Void, 'open_minor' => 0])->save();
        $this->note->handle($former, 'replaced by revision '.$document->revision, $by);
    }

    private function mustBeAllowed(Document $document, bool $isConfirmed): void
    {
        $use = $this->check->of($document->party, $document->kind, $document->total(), $document->source);
        if ($use->stops !== []) {
            throw ValidationException::withMessages(['stop' => $use->stops]);
        }
        if ($use->policy === CreditPolicy::Stop || ($use->policy === CreditPolicy::Ask && ! $isConfirmed)) {
            throw ValidationException::withMessages([
                $use->policy === CreditPolicy::Stop ? 'stop' : 'isConfirmed' => [$use->creditSentence],
            ]);
        }
        $source = $document->source?->load('lines');
        if ($source !== null && $source->kind->isPromise()) {
            if ($source->state === DocumentState::Void) {
                throw LedgerRefused::notNow("{$source->title()} is void. Write a new document instead.");
            }
            if (! $isConfirmed && $this->chain->exceeds($document, $source)) {
                throw ValidationException::withMessages([
                    'isConfirmed' => "This is more than is left of {$source->title()}. Issue it all the same?",
                ]);
            }
        }
        if ($document->kind->isCredit() && $source !== null) {
            DocumentAct::Credit->mustBeAllowed($source->kind, $source->state);
            $credited = Document::query()->where('source_id', $source->id)->where('kind', $document->kind)->issued()->sum('total_minor');
            $left = $source->money($source->total_minor - (int) $credited);
            if ($document->total()->minus($left)->minor > 0) {
                throw LedgerRefused::creditAboveInvoice($document->total()->toText(), $left->toText());
            }
        }
    }

    /** What it was made from is done by it: an order is billed as far as its lines are, an invoice credited as far as it is open. */
    private function settleSource(Document $document, User $by): void
    {
        $source = $document->source;
        if ($source === null) {
            return;
        }
        if ($source->kind->isPromise()) {
            $this->chain->refresh($source->load('lines'), $document->dated_on);
            $this->note->handle($source, 'became '.mb_strtolower($document->kind->title()).' '.$document->number, $by);
        } elseif ($document->kind->isCredit() && $source->state->isOpen()) {
            $part = $document->open()->atMost($source->open());
            $this->settle->handle($source, Allocation::CREDIT, $part, $document->dated_on, $by, $document);
            $document->setOpen($document->open()->minus($part), $document->dated_on);
            $document->saveWithDues();
        }
    }

    private function nextNumber(DocumentKind $kind, Day $date): string
    {
        return Series::next(
            $kind->value,
            $date->year,
            fn (int $place) => $kind->numbered($date->year, $place),
            fn (string $number) => Document::query()->where('kind', $kind)->where('number', $number)->exists(),
        );
    }
}
