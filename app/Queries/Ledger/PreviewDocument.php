<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Money\Money;
use App\Actions\Ledger\WriteDocument;
use App\Facts\Ledger\UseChecks;
use App\Http\Data\Ledger\DocumentPreviewData;
use App\Http\Data\Ledger\PreviewProblemData;
use App\Http\Data\Ledger\UseData;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\ValidationException;

/**
 * Says what a document would be while it is written, what is missing, and what stands against it. Nothing is kept.
 *
 * @phpstan-import-type DocumentInput from WriteDocument
 */
final readonly class PreviewDocument
{
    private const NOT_YET = ['allocations', 'creditAllocations', 'madeFromIt', 'events', 'replacedBy'];

    public function __construct(private WriteDocument $write, private ReadDocument $read, private UseChecks $check)
    {
    }

    /** @param  DocumentInput  $input */
    public function handle(Party $party, DocumentKind $kind, array $input, User $by): DocumentPreviewData
    {
        try {
            $document = $this->write->compose($party, $kind, $input, $by);
        } catch (ValidationException $refused) {
            return new DocumentPreviewData(
                null,
                UseData::of($this->check->of($party, $kind, Money::zero(Office::current()->currency()))),
                PreviewProblemData::all($refused->errors()),
            );
        }
        $document->setAttribute('id', 0);
        foreach (self::NOT_YET as $relation) {
            $document->setRelation($relation, new Collection);
        }
        foreach ($document->lines as $at => $line) {
            $line->setAttribute('id', -$at);
        }

        $use = UseData::of($this->check->of($party, $kind, $document->total()));

        return new DocumentPreviewData($this->read->handle($document), $use, []);
    }
}
