<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Ledger\Chain;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\LedgerRefused;
use App\Facts\Ledger\DocumentFigures;
use App\Facts\Terms\DocumentTerms;
use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\Office;
use App\Models\TaxRate;
use App\Models\User;
use App\Time\Clock;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Makes another document from one, without typing it again: the next of a chain, the credit that answers an invoice,
 * a new revision, a copy.
 */
final readonly class TurnDocument
{
    public function __construct(
        private WriteDocument $write,
        private KeepChain $chain,
        private Clock $clock,
    ) {
    }

    /**
     * What is left of a quote or an order is proposed, line by line.
     *
     * @param bool $isConfirmed whether somebody was asked about lines that are taken already, and said yes
     *
     * @throws LedgerRefused when it cannot become that
     * @throws ValidationException when nothing is left of it and nobody was asked
     */
    public function handle(Document $source, DocumentKind $kind, bool $isConfirmed, User $by): Document
    {
        return DB::transaction(function () use ($source, $kind, $isConfirmed, $by): Document {
            $source->refresh()->load('lines');
            $act = $source->kind->credit() === $kind ? DocumentAct::Credit : DocumentAct::Turn;
            $act->mustBeAllowed($source->kind, $source->state);
            if (! in_array($kind, DocumentFigures::canBecome($source), true)) {
                throw LedgerRefused::notNow("That cannot be made from {$source->kind->withArticle()}.");
            }
            $lines = $act === DocumentAct::Turn ? $this->left($source, $isConfirmed) : $this->inputs($source);
            $usual = DocumentTerms::usual($source->party, $kind->side(), $this->clock->today(), $source->everyonesEngagement());

            return $this->write->add(
                $source->party,
                $kind,
                ['terms' => $source->terms === '' ? $usual : $source->terms, 'lines' => $lines] + $this->head($source),
                $by,
                $source,
            );
        });
    }

    /**
     * A new draft of the same quote, which takes its place when it is issued.
     *
     * @throws LedgerRefused when it is no issued quote, or the next revision is begun already
     */
    public function revise(Document $quote, User $by): Document
    {
        return DB::transaction(function () use ($quote, $by): Document {
            $quote->refresh()->load('lines');
            DocumentAct::Revise->mustBeAllowed($quote->kind, $quote->state);
            if ($quote->replacedBy()->exists()) {
                throw LedgerRefused::notNow('Its next revision is a draft already. Open that one.');
            }
            if ($quote->madeFromIt()->whereNull('replaces_id')->where('state', '!=', 'void')->exists()) {
                throw LedgerRefused::notNow('Something was made from it already. Copy it for another quote.');
            }

            return $this->write->add(
                $quote->party,
                $quote->kind,
                ['terms' => $quote->terms, 'lines' => $this->inputs($quote)] + $this->head($quote),
                $by,
                null,
                $quote,
            );
        });
    }

    /** The same again, as a draft of today that belongs to no chain. */
    public function copy(Document $document, User $by): Document
    {
        return DB::transaction(function () use ($document, $by): Document {
            $document->refresh()->load('lines');
            if ($document->kind->isOpening()) {
                throw LedgerRefused::notNow('An opening balance is set once, and not copied.');
            }
            $lines = $this->inputs($document);
            foreach ($lines as $at => $line) {
                $lines[$at]['taxRateId'] = $this->rateOfToday($line['taxRateId']);
            }

            return $this->write->add(
                $document->party,
                $document->kind,
                ['terms' => $document->terms, 'lines' => $lines] + $this->head($document),
                $by,
            );
        });
    }

    /** A rate that no longer holds is left to be chosen. */
    private function rateOfToday(?int $id): ?int
    {
        $rate = $id === null ? null : TaxRate::query()->find($id);

        return $rate?->period()->includes($this->clock->today()) === true ? $rate->id : null;
    }

    /**
     * @return array{
     *     date: string, due: string, number: string, note: string, treatment: string, currency: string, reference: string,
     *     engagementId: int|null,
     * }
     */
    private function head(Document $document): array
    {
        return [
            'date' => '',
            'due' => '',
            'number' => '',
            'note' => $document->note,
            'treatment' => $document->treatment->value,
            'currency' => $document->currency,
            'reference' => $document->reference,
            'engagementId' => $document->engagement_id,
        ];
    }

    /**
     * @return list<array{
     *     text: string, quantity: string, price: string, discount: string, taxRateId: int|null, accountId: int|null,
     *     costCentreIds: list<int>, sourceLineId: int|null,
     * }>
     *
     * @throws ValidationException when nothing is left and nobody was asked
     */
    private function left(Document $source, bool $isConfirmed): array
    {
        $taken = $this->chain->taken($source, true);
        $quantities = [];
        foreach ($this->chain->lines($source) as $id => $line) {
            $left = Chain::left($line->quantity, $taken[$id] ?? BigDecimal::zero());
            if (! $left->isZero()) {
                $quantities[$id] = (string) $left;
            }
        }
        if ($quantities === [] && ! $isConfirmed) {
            throw ValidationException::withMessages([
                'isConfirmed' => "Everything on {$source->title()} is on another document already. Make one more all the same?",
            ]);
        }

        return $this->inputs($source, $quantities === [] ? null : $quantities, true);
    }

    /**
     * @param array<int, string>|null $quantities by line: those that are wanted; null for all of them as they are
     *
     * @return list<array{
     *     text: string, quantity: string, price: string, discount: string, taxRateId: int|null, accountId: int|null,
     *     costCentreIds: list<int>, sourceLineId: int|null,
     * }>
     */
    private function inputs(Document $document, ?array $quantities = null, bool $takesFromIt = false): array
    {
        $sign = Office::current()->decimalSign();
        $wanted = $quantities === null ? $document->lines : $document->lines->only(array_keys($quantities));

        return array_values(
            $wanted
                ->map(
                    fn (DocumentLine $line) => [
                        'text' => $line->text,
                        'quantity' => $sign->write($quantities[$line->id] ?? $line->quantity),
                        'price' => $sign->write($line->price),
                        'discount' => $line->discount,
                        'taxRateId' => $line->tax_rate_id,
                        'accountId' => $line->account_id,
                        'costCentreIds' => $line->cost_centre_ids,
                        'sourceLineId' => $takesFromIt ? $line->id : null,
                    ],
                )
                ->all(),
        );
    }
}
