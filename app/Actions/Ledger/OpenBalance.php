<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\LedgerRefused;
use Almanac\Terms\Side;
use App\Models\Document;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Sets what was owed when the books began: once a side, before the first document, ageing from its own day. */
final readonly class OpenBalance
{
    public function __construct(private WriteDocument $write, private IssueDocument $issue)
    {
    }

    /**
     * @param array{side: string, amount: string, currency: string, asOf: string} $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function handle(Party $party, array $input, User $by): Document
    {
        return DB::transaction(function () use ($party, $input, $by): Document {
            $kind = $input['side'] === Side::Client->value ? DocumentKind::OpeningReceivable : DocumentKind::OpeningPayable;
            $first = $party->documents()->where('state', '!=', DocumentState::Void)
                ->whereIn('kind', DocumentKind::ofSide($kind->side()))->orderBy('dated_on')->first();
            if ($first !== null) {
                $refused = $first->kind->isOpening()
                    ? LedgerRefused::openingTwice()
                    : LedgerRefused::openingAfterDocuments($first->dated_on->toText());
                throw ValidationException::withMessages(['amount' => $refused->getMessage()]);
            }
            try {
                $document = $this->write->add(
                    $party,
                    $kind,
                    [
                        'date' => $input['asOf'],
                        'due' => '',
                        'terms' => '',
                        'treatment' => 'none',
                        'currency' => $input['currency'],
                        'number' => '',
                        'reference' => '',
                        'note' => '',
                        'lines' => [
                            [
                                'text' => 'Opening balance',
                                'quantity' => '1',
                                'price' => $input['amount'],
                                'discount' => '',
                                'taxRateId' => null,
                                'accountId' => null,
                                'costCentreIds' => [],
                            ],
                        ],
                    ],
                    $by,
                );
            } catch (ValidationException $refused) {
                // What is a line of a document there is one amount here.
                $fields = ['lines.0.price' => 'amount', 'lines' => 'amount', 'date' => 'asOf'];
                $errors = [];
                foreach ($refused->errors() as $field => $messages) {
                    $errors[$fields[$field] ?? $field] = $messages;
                }
                throw ValidationException::withMessages($errors);
            }
            if ($document->total()->isZero()) {
                throw ValidationException::withMessages(['amount' => LedgerRefused::notPositive()->getMessage()]);
            }
            $this->issue->issue($document, true, $by);

            return $document;
        });
    }
}
