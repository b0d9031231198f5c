<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\LedgerRefused;
use App\Models\Document;
use App\Models\Settlement;
use App\Models\User;
use App\Queries\Ledger\CheckUse;
use App\Support\ArchivedRecord;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Makes a draft count: it gets its number, stands in the ledger, and can no longer be changed; or makes one void. */
final readonly class IssueDocument
{
    public function __construct(
        private CheckUse $check,
        private SettleDocument $settle,
        private KeepStandings $standings,
        private NoteEvent $note,
        private Clock $clock,
    ) {
    }

    /**
     * @param bool $isConfirmed whether somebody was asked about the credit limit, and said yes
     *
     * @throws LedgerRefused when it is no draft any more, or a credit is more than what it answers
     * @throws ArchivedRecord when the record takes no new documents
     * @throws ValidationException when a stop or the credit limit is in the way
     */
    public function issue(Document $document, bool $isConfirmed, User $by): void
    {
        DB::transaction(function () use ($document, $isConfirmed, $by): void {
            $document->refresh()->party->refresh()->assertInUse();
            if ($document->state !== DocumentState::Draft) {
                throw LedgerRefused::wrongState('issued', $document->state->words());
            }
            if ($document->kind->isTheirs() && $document->number === null) {
                throw ValidationException::withMessages(['number' => 'Type the number that stands on it.']);
            }
            $this->mustBeAllowed($document, $isConfirmed);
            $document->number ??= $this->nextNumber($document->kind, $document->date);
            $document->setOpen($document->total(), $document->date);
            $document->save();
            $this->note->handle($document, 'issued as '.$document->number, $by);
            $this->settleSource($document, $by);
            $this->standings->refresh($document->party_id);
        });
    }

    /** @throws LedgerRefused when money or a credit has been used on it, or it is void already */
    public function void(Document $document, string $reason, User $by): void
    {
        DB::transaction(function () use ($document, $reason, $by): void {
            $document->refresh();
            if ($document->state === DocumentState::Void) {
                throw LedgerRefused::wrongState('made void', 'void');
            }
            foreach ($document->kind->isCredit() ? $document->uses()->get() : [] as $use) {
                $this->settle->takeBack($use, $this->clock->today());
            }
            if ($document->settlements()->exists()) {
                throw LedgerRefused::paidAlready();
            }
            if ($document->source?->kind->isPromise() === true && $document->state !== DocumentState::Draft) {
                $document->source->setOpen($document->source->total(), $document->date);
                $document->source->save();
            }
            $document->fill(['state' => DocumentState::Void, 'open_minor' => 0, 'next_due' => null, 'settled_on' => null])->save();
            $this->note->handle($document, 'made void: '.$reason, $by);
            $this->standings->refresh($document->party_id);
        });
    }

    private function mustBeAllowed(Document $document, bool $isConfirmed): void
    {
        $use = $this->check->handle($document->party, $document->kind, $document->total(), $document->source);
        if ($use->stops !== []) {
            throw ValidationException::withMessages(['stop' => $use->stops]);
        }
        if ($use->policy === CreditPolicy::Stop->value || ($use->policy === CreditPolicy::Ask->value && ! $isConfirmed)) {
            throw ValidationException::withMessages([$use->policy === CreditPolicy::Stop->value ? 'stop' : 'isConfirmed' => [$use->creditSentence]]);
        }
        $source = $document->source;
        if ($document->kind->isCredit() && $source !== null) {
            $credited = Document::query()->where('source_id', $source->id)->where('kind', $document->kind)->issued()->sum('total_minor');
            $left = $source->money($source->total_minor - (int) $credited);
            if ($document->total()->minus($left)->minor > 0) {
                throw LedgerRefused::creditAboveInvoice($document->total()->toText(), $left->toText());
            }
        }
    }

    /** What it was made from is done by it: an order is billed, an invoice credited as far as it is open. */
    private function settleSource(Document $document, User $by): void
    {
        $source = $document->source;
        if ($source === null || ! $source->state->isOpen()) {
            return;
        }
        if ($source->kind->isPromise()) {
            $source->setOpen($source->money(0), $document->date);
            $source->save();
            $this->note->handle($source, 'became '.mb_strtolower($document->title()), $by);
        } elseif ($document->kind->isCredit() && ! $source->open()->isZero()) {
            $part = $document->open()->atMost($source->open());
            $this->settle->handle($source, Settlement::CREDIT, $part, $document->date, $by, $document);
            $document->setOpen($document->open()->minus($part), $document->date);
            $document->save();
        }
    }

    private function nextNumber(DocumentKind $kind, Day $date): string
    {
        DB::table('series')->insertOrIgnore(['kind' => $kind->value, 'year' => $date->year, 'last' => 0]);
        DB::table('series')->where('kind', $kind->value)->where('year', $date->year)->increment('last');
        $place = DB::table('series')->where('kind', $kind->value)->where('year', $date->year)->value('last');

        return $kind->numbered($date->year, is_numeric($place) ? (int) $place : 0);
    }
}
