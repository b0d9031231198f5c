<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Engagements\EngagementRefused;
use Almanac\Ledger\DocumentKind;
use App\Facts\Terms\DocumentTerms;
use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Writes an invoice for a case or a project that several pay: a draft for each, with their part of every line. The parts
 * of a line add up to it to the cent; tax is worked out on each invoice, as it is asked of whoever gets it.
 *
 * @phpstan-import-type DocumentInput from WriteDocument
 */
final readonly class WriteShares
{
    public function __construct(private WriteDocument $write, private Clock $clock)
    {
    }

    /**
     * @param DocumentInput $input of the whole invoice
     *
     * @return list<Document> one for each payer, in the order in which they are named
     *
     * @throws EngagementRefused when nobody is named as paying
     * @throws ValidationException with each refusal at its field
     */
    public function handle(Engagement $engagement, array $input, User $by): array
    {
        return DB::transaction(function () use ($engagement, $input, $by): array {
            $engagement->refresh()->load('parties');
            $payers = $this->payers($engagement);
            $first = reset($payers) ?: throw EngagementRefused::nobodyPays();
            $shares = EngagementParty::shares($payers);
            // What it comes to as a whole, and whatever is wrong with it.
            $whole = $this->write->compose($this->party($first), DocumentKind::Invoice, $input, $by);
            $parts = [];
            foreach ($whole->lines as $rank => $line) {
                foreach ($shares->split($whole->money($line->amount_minor)) as $partyId => $part) {
                    $parts[$partyId][$rank] = $part;
                }
            }
            $written = [];
            foreach ($payers as $one) {
                $party = $this->party($one);
                $terms = DocumentTerms::usual($party, DocumentKind::Invoice->side(), $this->clock->today(), $engagement);
                $written[] = $this->write->add($party, DocumentKind::Invoice, [
                    'terms' => $input['due'] === '' ? $terms : '',
                    'engagementId' => $engagement->id,
                    'lines' => array_map(
                        fn (DocumentLine $line, array $row, int $rank) => [
                            'text' => "$line->text ({$shares->shares[$one->party_id]->toText()})",
                            'quantity' => '1',
                            'price' => Office::current()->decimalSign()->write($parts[$one->party_id][$rank]->toDecimal()),
                            'discount' => '',
                            'sourceLineId' => null,
                        ] + $row,
                        $whole->lines->all(),
                        $input['lines'],
                        array_keys($input['lines']),
                    ),
                ] + $input, $by);
            }

            return $written;
        });
    }

    private function party(EngagementParty $one): Party
    {
        return Party::query()->whereKey($one->party_id)->firstOrFail();
    }

    /** @return array<int, EngagementParty> who pays now, each once */
    private function payers(Engagement $engagement): array
    {
        $today = $this->clock->today();

        return $engagement->parties
            ->filter(fn (EngagementParty $one) => $one->paysNow($today))
            ->all();
    }
}
