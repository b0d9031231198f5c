<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\LedgerRefused;
use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\User;
use App\Queries\Ledger\ReadDefaults;
use App\Queries\Ledger\ReadDocument;

/** Makes the next document of a chain from one, without typing it again: quote to order to invoice, and the credit that answers an invoice. */
final readonly class TurnDocument
{
    public function __construct(private WriteDocument $write, private ReadDefaults $defaults, private ReadDocument $read)
    {
    }

    /** @throws LedgerRefused when it cannot become that */
    public function handle(Document $source, DocumentKind $kind, User $by): Document
    {
        $source->refresh();
        if (! in_array($kind->value, $this->read->handle($source)->canBecome, true)) {
            throw LedgerRefused::wrongState('turned into '.$kind->withArticle(), $source->state->words());
        }
        $defaults = $this->defaults->handle($source->party, $kind);

        return $this->write->add($source->party, $kind, [
            'date' => '', 'due' => '', 'number' => '', 'note' => $source->note,
            'terms' => $source->terms === '' ? $defaults->terms : $source->terms,
            'treatment' => $source->treatment->value, 'currency' => $source->currency, 'reference' => $source->reference,
            'lines' => array_values($source->lines->map(fn (DocumentLine $line) => [
                'text' => $line->text, 'quantity' => $line->quantity, 'price' => $line->price, 'discount' => $line->discount,
                'taxRateId' => $line->tax_rate_id, 'accountId' => $line->account_id, 'costCentreIds' => $line->cost_centre_ids,
            ])->all()),
        ], $by, $source);
    }
}
