<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\ApartDecisions;
use Almanac\Merging\Belonging;
use Almanac\Merging\Bundles;
use App\Database\Ids;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\Merge;
use App\Models\Payment;
use Illuminate\Support\Collection;

/** Documents and money that came to a record since others were made one with it, each with what it settles or follows. */
final class ArrivedBooks
{
    /** @var array<int, int> to whom a document goes that was there before, by its number */
    private array $documents;

    /** @var array<int, int> the same of payments */
    private array $payments;

    /** @var array<int, list<string>> what each was called */
    private array $names;

    /** @param  array<int, string>  $names  by record, the one that stayed first */
    public function __construct(private readonly Merge $merge, array $names)
    {
        $this->names = array_map(fn (string $name) => [$name], $names);
        $this->documents = $this->owners('documents', Ids::of(Document::query()->where('party_id', $merge->kept_id)->pluck('id')));
        $this->payments = $this->owners('payments', Ids::of(Payment::query()->where('party_id', $merge->kept_id)->pluck('id')));
    }

    /**
     * Allocations between what goes to two, so that they are taken back.
     *
     * @param list<ApartItem> $items
     *
     * @return list<Allocation>
     */
    public function between(array $items): array
    {
        $documents = $this->documents;
        $payments = $this->payments;
        foreach ($items as $item) {
            foreach ($item->rows as [$table, $id]) {
                if ($table === 'documents') {
                    $documents[$id] = $item->partyId;
                } elseif ($table === 'payments') {
                    $payments[$id] = $item->partyId;
                }
            }
        }

        return array_values($this->allocations()->filter(function (Allocation $one) use ($documents, $payments): bool {
            $to = $documents[$one->document_id] ?? null;
            $from = $one->payment_id === null ? $documents[$one->credit_id ?? 0] ?? null : $payments[$one->payment_id] ?? null;

            return $to !== null && $from !== null && $to !== $from;
        })->all());
    }

    /**
     * Documents and payments that settle or follow one another go together; with one that was there before, to whom that
     * belongs.
     *
     * @return list<ApartItem>
     */
    public function items(ApartDecisions $decisions): array
    {
        $documents = Document::query()
            ->where('party_id', $this->merge->kept_id)->where('id', '>', $this->merge->marks['documents'] ?? 0)
            ->orderBy('id')->get()->toBase()->keyBy('id');
        $payments = Payment::query()
            ->where('party_id', $this->merge->kept_id)->where('id', '>', $this->merge->marks['payments'] ?? 0)
            ->orderBy('id')->get()->toBase()->keyBy('id');
        $ties = [];
        foreach ($this->allocations() as $one) {
            $ties[] = [
                "documents:$one->document_id",
                $one->payment_id === null ? "documents:$one->credit_id" : "payments:$one->payment_id",
            ];
        }
        foreach ($documents as $document) {
            foreach ([$document->source_id, $document->replaces_id] as $other) {
                $ties[] = ["documents:$document->id", "documents:$other"];
            }
        }
        $members = [
            ...$documents->map(fn (Document $one) => "documents:$one->id")->values()->all(),
            ...$payments->map(fn (Payment $one) => "payments:$one->id")->values()->all(),
        ];
        $items = [];
        foreach (Bundles::of($members, $ties) as $bundle) {
            $held = $this->heldBy($bundle, $ties);
            $owners = array_values(array_unique(array_column($held, 0)));
            $first = $bundle[0];
            [$table, $id] = self::split($first);
            $document = $table === 'documents' ? $documents->get($id) : null;
            $proposed = $document instanceof Document
                ? Belonging::byName($document->copy['name'] ?? '', $this->names)
                : $this->merge->kept_id;
            $items[] = new ApartItem(
                $first,
                $table === 'documents' ? 'Documents' : 'Payments',
                implode(', with ', array_map(fn (string $one) => self::words($one, $documents, $payments), $bundle)),
                array_map(self::split(...), $bundle),
                count($owners) === 1 ? $owners[0] : $decisions->goesTo($first, $owners[0] ?? $proposed, $this->names),
                count($owners) === 1,
                match (count($owners)) {
                    0 => '',
                    1 => 'goes with '.$held[0][1],
                    default => 'settles something of each: what it settles of the others’ is open again',
                },
            );
        }

        return $items;
    }

    /**
     * @param list<string> $bundle
     * @param list<array{string, string}> $ties
     *
     * @return list<array{int, string}> to whom what was there before belongs, and what it is
     */
    private function heldBy(array $bundle, array $ties): array
    {
        $held = [];
        foreach ($ties as [$one, $other]) {
            foreach ([[$one, $other], [$other, $one]] as [$new, $old]) {
                if (in_array($new, $bundle, true) && ! in_array($old, $bundle, true)) {
                    [$table, $id] = self::split($old);
                    $owner = $table === 'documents' ? $this->documents[$id] ?? null : $this->payments[$id] ?? null;
                    if ($owner !== null) {
                        $held[] = [
                            $owner,
                            $table === 'documents' ? mb_strtolower(Document::query()->findOrFail($id)->title()) : 'a payment',
                        ];
                    }
                }
            }
        }

        return $held;
    }

    /**
     * To whom what was there before goes back, of rows that are still with the record.
     *
     * @param list<int> $ids
     *
     * @return array<int, int>
     */
    private function owners(string $table, array $ids): array
    {
        $owners = [];
        foreach ($ids as $id) {
            if ($id <= ($this->merge->marks[$table] ?? 0)) {
                $owners[$id] = $this->merge->kept_id;
            }
        }
        foreach ($this->merge->moves as $move) {
            if ($move->table === $table) {
                foreach ($move->ids as $id) {
                    if (isset($owners[$id])) {
                        $owners[$id] = $move->from_id;
                    }
                }
            }
        }

        return $owners;
    }

    /** @return Collection<int, Allocation> that were made since, of what belongs to the record */
    private function allocations(): Collection
    {
        return once(fn () => Allocation::query()->where('id', '>', $this->merge->marks['allocations'] ?? 0)
            ->whereIn('document_id', Document::query()->select('id')->where('party_id', $this->merge->kept_id))
            ->where(fn ($from) => $from->whereNotNull('payment_id')->orWhereNotNull('credit_id'))
            ->with('document', 'payment')->orderBy('id')->get()->toBase());
    }

    /**
     * @param Collection<int, Document> $documents
     * @param Collection<int, Payment> $payments
     */
    private static function words(string $member, Collection $documents, Collection $payments): string
    {
        [$table, $id] = self::split($member);
        $document = $table === 'documents' ? $documents->get($id) : null;
        $payment = $table === 'payments' ? $payments->get($id) : null;

        return match (true) {
            $document instanceof Document => $document->title().' of '.$document->dated_on->toText().', '.$document->total()->toText(),
            $payment instanceof Payment => 'payment of '.$payment->amount()->toText().' on '.$payment->paid_on->toText(),
            default => '',
        };
    }

    /** @return array{string, int} the table and the number of "documents:12" */
    private static function split(string $member): array
    {
        [$table, $id] = explode(':', $member) + [1 => ''];

        return [$table, (int) $id];
    }
}
