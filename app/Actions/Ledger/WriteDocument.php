<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Dues;
use Almanac\Ledger\LedgerRefused;
use Almanac\Ledger\Line;
use Almanac\Ledger\TaxTreatment;
use Almanac\Ledger\Totals;
use Almanac\Money\BadAmount;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Names\NamePart;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\StaleSave;
use Almanac\Terms\Shorthand;
use App\Facts\Ledger\PartyCopy;
use App\Facts\Ledger\Rates;
use App\Models\CostCentre;
use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\LedgerAccount;
use App\Models\Office;
use App\Models\Party;
use App\Models\TaxRate;
use App\Models\User;
use App\Time\OfficeCalendar;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Writes a document as a draft, and over it again until it is issued.
 *
 * @phpstan-type LineInput array{
 *     text: string, quantity: string, price: string, discount: string, taxRateId: int|null, accountId: int|null,
 *     costCentreIds: list<int>, sourceLineId?: int|null,
 * }
 * @phpstan-type DocumentInput array{
 *     date: string, due: string, terms: string, treatment: string, currency: string, number: string, reference: string,
 *     note: string, engagementId?: int|null, validUntil?: string, lines: list<LineInput>, version?: int,
 * }
 */
final readonly class WriteDocument
{
    public function __construct(private TypedDates $dates, private NoteEvent $note)
    {
    }

    /**
     * @param DocumentInput $input
     * @param Document|null $source what it is made from
     * @param Document|null $before the quote that it is the next revision of
     *
     * @throws ArchivedRecord when the record takes no new documents
     * @throws ValidationException with each refusal at its field
     */
    public function add(
        Party $party,
        DocumentKind $kind,
        array $input,
        User $by,
        ?Document $source = null,
        ?Document $before = null,
    ): Document {
        return DB::transaction(function () use ($party, $kind, $input, $by, $source, $before): Document {
            $party->refresh()->assertInUse();
            $document = $this->compose($party, $kind, $input, $by, $source);
            if ($before !== null) {
                $document->fill([
                    'replaces_id' => $before->id,
                    'revision' => $before->revision + 1,
                    'number' => $before->number,
                    'source_id' => $before->source_id,
                ]);
            }
            $this->store($document);
            $this->note->handle($document, match (true) {
                $before !== null => 'written as revision '.$document->revision,
                $source !== null => 'made from '.mb_strtolower($source->kind->title()).' '.$source->number,
                default => 'written',
            }, $by);

            return $document;
        });
    }

    /**
     * What a document would be; nothing is kept.
     *
     * @param DocumentInput $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function compose(Party $party, DocumentKind $kind, array $input, User $by, ?Document $source = null): Document
    {
        $document = new Document([
            'party_id' => $party->id, 'kind' => $kind, 'state' => DocumentState::Draft, 'source_id' => $source?->id, 'user_id' => $by->id,
            'copy' => PartyCopy::of($party, $kind->side(), $this->dates->today()),
        ]);
        $document->setRelation('party', $party);
        $this->fill($document, $input);

        return $document;
    }

    /**
     * @param DocumentInput $input
     *
     * @throws LedgerRefused when it is no draft any more
     * @throws StaleSave when somebody else has saved it since
     * @throws ValidationException with each refusal at its field
     */
    public function change(Document $document, array $input): Document
    {
        return DB::transaction(function () use ($document, $input): Document {
            $document->refresh()->party->assertInUse();
            DocumentAct::Change->mustBeAllowed($document->kind, $document->state);
            StaleSave::unlessSeen($document->version, $input['version'] ?? -1, 'this document');
            $this->fill($document, $input);
            $this->store($document);

            return $document;
        });
    }

    private function store(Document $document): void
    {
        $lines = $document->lines;
        $document->saveWithDues();
        $document->lines()->delete();
        foreach ($lines as $line) {
            $line->document_id = $document->id;
            $line->save();
        }
    }

    /** @param  DocumentInput  $input */
    private function fill(Document $document, array $input): void
    {
        $problems = new FieldProblems;
        $date = $this->dates->day($input['date'] === '' ? 'today' : $input['date'], 'date', $problems);
        $currency = $problems->at('currency', fn () => $this->currency($input['currency'], $date)) ?? Office::current()->currency();
        $treatment = TaxTreatment::from($input['treatment']);
        $lines = $this->lines($input['lines'], $document, $currency, $date, $problems);
        $terms =
            trim($input['terms']) === '' || (! $document->kind->isOwed() && ! $document->kind->isPromise())
                ? null
                : $problems->at('terms', fn () => Shorthand::read($input['terms']));
        $due = $this->dates->day($input['due'], 'due', $problems);
        $valid = $document->kind === DocumentKind::Quote ? $this->dates->day($input['validUntil'] ?? '', 'validUntil', $problems) : null;
        if ($date !== null && $valid?->isBefore($date) === true) {
            $problems->add('validUntil', 'Choose a day on or after its date.');
        }
        if ($input['lines'] === []) {
            $problems->add('lines', LedgerRefused::noLines()->getMessage());
        }
        $totals = $problems->at('lines', fn () => Totals::of(array_column($lines, 0), $treatment, $currency));
        if ($totals?->gross->isNegative() === true) {
            $problems->add('lines', ($document->kind->isOpening()
                ? LedgerRefused::openingBelowZero()
                : LedgerRefused::negativeTotal($totals->gross->toText()))->getMessage());
        }
        $engagementId = array_key_exists('engagementId', $input)
            ? $problems->at('engagementId', fn () => ForEngagement::read($input['engagementId'], $document->engagement_id))
            : $document->engagement_id;
        $number = $this->number($document, $input['number'], $problems);
        $reference = $problems->at('reference', fn () => NamePart::tidy($input['reference']));
        $calendar = OfficeCalendar::of(Office::current());
        $dues =
            $date === null || $totals === null
                ? null
                : $problems->at('due', fn () => Dues::of($document->kind, $totals->gross, $date, $due, $terms, $calendar));
        $problems->throwIfAny();
        if ($totals === null || $dues === null) {
            throw new \LogicException('What was not refused is there.');
        }

        $document->fill([
            'dated_on' => $date,
            'currency' => $currency,
            'treatment' => $treatment,
            'number' => $number,
            'reference' => $reference,
            'note' => trim($input['note']),
            'valid_until' => $valid,
            'engagement_id' => $engagementId,
            'net_minor' => $totals->net->minor,
            'tax_minor' => $totals->tax->minor,
            'total_minor' => $totals->gross->minor,
            'open_minor' => $totals->gross->minor,
            'version' => $document->version + 1,
        ]);
        $document->setDues($dues);
        $document->setRelation(
            'lines',
            new Collection(array_map(fn (int $rank) => $this->row($lines[$rank], $rank, $currency), array_keys($lines))),
        );
    }

    /** @param  array{Line, LineInput}  $line */
    private function row(array $line, int $rank, string $currency): DocumentLine
    {
        [$line, $input] = $line;

        return new DocumentLine([
            'rank' => $rank,
            'text' => $line->text,
            'quantity' => (string) $line->quantity,
            'price' => (string) $line->price,
            'discount' => (string) $line->discount,
            'tax' => (string) $line->tax,
            'tax_rate_id' => $input['taxRateId'],
            'account_id' => $input['accountId'],
            'cost_centre_ids' => $input['costCentreIds'],
            'source_line_id' => $input['sourceLineId'] ?? null,
            'amount_minor' => $line->amount($currency)->minor,
        ]);
    }

    private function number(Document $document, string $typed, FieldProblems $problems): ?string
    {
        if (! $document->kind->isTheirs()) {
            return $document->number;
        }
        $number = (string) $problems->at('number', fn () => NamePart::tidy($typed));
        if ($number === '') {
            return null;
        }
        $same = Document::query()->where('party_id', $document->party_id)->where('kind', $document->kind)->where('number', $number)
            ->where('state', '!=', DocumentState::Void)->whereKeyNot($document->id ?? 0)->first();
        if ($same !== null) {
            $problems->add('number', "A document of theirs with this number, of {$same->dated_on->toText()}, is in the book already.");
        }

        return mb_substr($number, 0, 60);
    }

    /** @throws BadAmount when it is no currency, or the office has no rate for it */
    private function currency(string $code, ?Day $date): string
    {
        $amount = Money::zero($code === '' ? Office::current()->currency() : mb_strtoupper(trim($code)));
        if ($date !== null) {
            Rates::ofOffice()->toHome($amount, $date);
        }

        return $amount->currency;
    }

    /**
     * @param list<LineInput> $rows
     *
     * @return array<int, array{Line, LineInput}>
     */
    private function lines(array $rows, Document $document, string $currency, ?Day $date, FieldProblems $problems): array
    {
        $lines = [];
        $kind = $document->kind;
        $sign = Office::current()->decimalSign();
        $sources =
            $document->source_id === null ? [] : DocumentLine::query()->where('document_id', $document->source_id)->pluck('id')->all();
        $rates = TaxRate::query()->findMany(array_filter(array_column($rows, 'taxRateId')))->keyBy('id');
        $accounts = LedgerAccount::query()->whereKey(array_filter(array_column($rows, 'accountId')))->pluck('id')->all();
        $centres = CostCentre::query()->whereKey(array_merge([], ...array_column($rows, 'costCentreIds')))->pluck('id')->all();
        foreach ($rows as $at => $row) {
            $text = $problems->at("lines.$at.text", fn () => Line::readText($row['text']));
            $quantity = $problems->at(
                "lines.$at.quantity",
                fn () => Line::readQuantity($row['quantity'] === '' ? '1' : $row['quantity'], $sign),
            );
            $price = $problems->at("lines.$at.price", fn () => Line::readPrice($row['price'], $currency, $sign));
            $discount = $problems->at("lines.$at.discount", fn () => Percent::of($row['discount'] === '' ? '0' : $row['discount']));
            $rate = $rates->get($row['taxRateId'] ?? 0);
            if ($row['taxRateId'] !== null && ($rate === null || $rate->side !== $kind->side())) {
                $problems->add("lines.$at.taxRateId", 'Choose a tax rate from the list.');
            }
            if ($rate !== null && $date !== null && ! $rate->period()->includes($date)) {
                $problems->add(
                    "lines.$at.taxRateId",
                    "{$rate->name} at {$rate->rate()->toText()} applies {$rate->period()->toText()}. Choose the rate of {$date->toText()}.",
                );
            }
            if ($row['accountId'] !== null && ! in_array($row['accountId'], $accounts, true)) {
                $problems->add("lines.$at.accountId", 'Choose an account from the list.');
            }
            if (array_diff($row['costCentreIds'], $centres) !== []) {
                $problems->add("lines.$at.costCentreIds", 'Choose from the list.');
            }
            if (! in_array($row['sourceLineId'] ?? null, [null, ...$sources], true)) {
                $problems->add(
                    "lines.$at.text",
                    'The line that this one takes from belongs to another document. Remove it, and add it again.',
                );
            }
            if ($text !== null && $quantity !== null && $price !== null && $discount !== null) {
                $line = Line::of($text, $quantity, $price, $discount, $rate?->rate() ?? Percent::none());
                if ($problems->at("lines.$at.price", fn () => $line->amount($currency)) !== null) {
                    $lines[$at] = [$line, $row];
                }
            }
        }

        return $lines;
    }
}
