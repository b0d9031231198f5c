<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\LedgerRefused;
use App\Models\Document;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Writes a document and issues it, in one act.
 *
 * @phpstan-import-type DocumentInput from WriteDocument
 */
final readonly class WriteAndIssue
{
    public function __construct(private WriteDocument $write, private IssueDocument $issue)
    {
    }

    /**
     * @param DocumentInput $input
     *
     * @return array{Document, ValidationException|LedgerRefused|null} what stands against issuing it leaves it a draft
     *
     * @throws ValidationException when it cannot be written
     */
    public function handle(Party $party, DocumentKind $kind, array $input, User $by): array
    {
        return DB::transaction(function () use ($party, $kind, $input, $by): array {
            $document = $this->write->add($party, $kind, $input, $by);
            try {
                $this->issue->issue($document, false, $by, $document->version);

                return [$document, null];
            } catch (ValidationException|LedgerRefused $against) {
                return [$document->refresh(), $against];
            }
        });
    }
}
