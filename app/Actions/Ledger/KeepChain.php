<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Chain;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Line;
use Almanac\Ledger\Totals;
use App\Models\Document;
use App\Models\DocumentLine;
use Brick\Math\BigDecimal;

/** Knows by line how much of a quote or an order has become something. Runs inside the transaction of what asks. */
final class KeepChain
{
    /**
     * What has been taken of each line.
     *
     * @param bool $withDrafts whether what is only a draft counts too
     * @param int $except a document that does not count
     *
     * @return array<int, BigDecimal> by the id of the line
     */
    public function taken(Document $source, bool $withDrafts, int $except = 0): array
    {
        $taken = [];
        $lines = DocumentLine::query()
            ->whereIn('source_line_id', $source->lines->modelKeys())
            ->whereHas(
                'document',
                fn ($documents) => $documents
                    ->whereKeyNot($except)
                    ->whereNotIn('state', $withDrafts ? [DocumentState::Void] : [DocumentState::Void, DocumentState::Draft]),
            )
            ->get();
        foreach ($lines as $line) {
            $id = (int) $line->source_line_id;
            $taken[$id] = ($taken[$id] ?? BigDecimal::zero())->plus($line->line()->quantity);
        }

        return $taken;
    }

    /** Sets what is open of it by what has been taken; one that is void or a draft stays as it is. */
    public function refresh(Document $source, Day $on): void
    {
        if ($source->state === DocumentState::Void || $source->state === DocumentState::Draft) {
            return;
        }
        $open = Chain::open($this->lines($source), $this->taken($source, false));
        $source->setOpen(Totals::of($open, $source->treatment, $source->currency)->gross->atMost($source->total()), $on);
        $source->saveWithDues();
    }

    /** Whether the document takes more of a line than there is, with what others have taken. */
    public function exceeds(Document $document, Document $source): bool
    {
        $taken = $this->taken($source, false, $document->id);
        foreach ($document->lines as $line) {
            $promised = $source->lines->find($line->source_line_id);
            if ($promised instanceof DocumentLine) {
                $taken[$promised->id] = ($taken[$promised->id] ?? BigDecimal::zero())->plus($line->line()->quantity);
                if (Chain::exceeds($promised->line()->quantity, $taken[$promised->id])) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<int, Line> by id */
    public function lines(Document $source): array
    {
        return $source->lines->mapWithKeys(fn (DocumentLine $line) => [$line->id => $line->line()])->all();
    }
}
