<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Calendar\Day;
use Almanac\Merging\ApartDecisions;
use Almanac\Merging\Belonging;
use Almanac\Merging\Bundles;
use App\Database\Ids;
use App\Models\Allocation;
use App\Models\BankDetail;
use App\Models\Card;
use App\Models\Caution;
use App\Models\Document;
use App\Models\EngagementParty;
use App\Models\File;
use App\Models\LogEntry;
use App\Models\Meeting;
use App\Models\Merge;
use App\Models\Model;
use App\Models\Payment;
use App\Models\Reminder;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** What came to a record since others were made one with it: documents and money, each with what it settles; and the rest. */
final class ArrivedSince
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

    /** @return list<ApartItem> */
    public function items(ApartDecisions $decisions): array
    {
        return [...$this->books($decisions), ...$this->others($decisions)];
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
    private function books(ApartDecisions $decisions): array
    {
        $documents = $this->since(Document::query()->where('party_id', $this->merge->kept_id), 'documents')->keyBy('id');
        $payments = $this->since(Payment::query()->where('party_id', $this->merge->kept_id), 'payments')->keyBy('id');
        $ties = [];
        foreach ($this->allocations() as $one) {
            $ties[] = ["documents:$one->document_id", $one->payment_id === null ? "documents:$one->credit_id" : "payments:$one->payment_id"];
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
            $document = $documents->get((int) substr($first, strlen('documents:')));
            $proposed = $document instanceof Document ? Belonging::byName($document->copy['name'] ?? '', $this->names) : $this->merge->kept_id;
            $items[] = new ApartItem(
                $first,
                str_starts_with($first, 'documents:') ? 'Documents' : 'Payments',
                implode(', with ', array_map(fn (string $one) => self::words($one, $documents, $payments), $bundle)),
                array_map(fn (string $one) => [strtok($one, ':') ?: '', (int) strtok(':')], $bundle),
                count($owners) === 1 ? $owners[0] : $this->chosen($first, $owners[0] ?? $proposed, $decisions),
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
                    $id = (int) substr((string) strstr($old, ':'), 1);
                    $owner = str_starts_with($old, 'documents:') ? $this->documents[$id] ?? null : $this->payments[$id] ?? null;
                    if ($owner !== null) {
                        $held[] = [$owner, str_starts_with($old, 'documents:') ? mb_strtolower(Document::query()->findOrFail($id)->title()) : 'a payment'];
                    }
                }
            }
        }

        return $held;
    }

    /** @return list<ApartItem> */
    private function others(ApartDecisions $decisions): array
    {
        $day = fn (Day $on) => $on->toText();
        $id = $this->merge->kept_id;

        return [
            ...$this->of('files', 'Files', File::query()->where('subject_id', $id), fn (File $one) => $one->name, $decisions),
            ...$this->of('reminders', 'Reminders', Reminder::query()->where('subject_id', $id), fn (Reminder $one) => "$one->text, {$day($one->due_on)}", $decisions),
            ...$this->of('cautions', 'Cautions', Caution::query()->where('subject_id', $id), fn (Caution $one) => $one->text, $decisions),
            ...$this->of(
                'log_entries',
                'Log',
                LogEntry::query()->where('subject_id', $id),
                fn (LogEntry $one) => ucfirst($one->kind->value).", {$day($one->happened_on)}: ".strtok($one->text, "\n"),
                $decisions,
            ),
            ...$this->of('meetings', 'Meetings', Meeting::query()->where('subject_id', $id), fn (Meeting $one) => "$one->title, {$day($one->held_on)}", $decisions),
            ...$this->of(
                'bank_details',
                'Bank details',
                BankDetail::query()->where('party_id', $id),
                fn (BankDetail $one) => ucfirst($one->kindTitle())." $one->masked, {$one->state->title()}",
                $decisions,
            ),
            ...$this->of('cards', 'Cards', Card::query()->where('party_id', $id), fn (Card $one) => "$one->brand •••• $one->last_four", $decisions),
            ...$this->of(
                'engagement_parties',
                'Cases and projects',
                EngagementParty::query()->where('party_id', $id)->with('role', 'engagement'),
                fn (EngagementParty $one) => $one->engagement === null
                    ? 'a case that you may not see'
                    : "{$one->engagement->number} {$one->engagement->title}, {$one->role->name}",
                $decisions,
            ),
        ];
    }

    /**
     * @template M of Model
     *
     * @param Builder<M> $query
     * @param \Closure(M): string $words
     *
     * @return list<ApartItem>
     */
    private function of(string $table, string $title, Builder $query, \Closure $words, ApartDecisions $decisions): array
    {
        $items = [];
        foreach ($this->since($query, $table) as $one) {
            $number = (int) $one->getKey();
            $key = "$table:$number";
            $items[] = new ApartItem($key, $title, $words($one), [[$table, $number]], $this->chosen($key, $this->merge->kept_id, $decisions));
        }

        return $items;
    }

    private function chosen(string $key, int $proposed, ApartDecisions $decisions): int
    {
        $chosen = $decisions->belongs[$key] ?? $proposed;

        return isset($this->names[$chosen]) ? $chosen : $proposed;
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
     * @template M of Model
     *
     * @param Builder<M> $query
     *
     * @return Collection<int, M>
     */
    private function since(Builder $query, string $table): Collection
    {
        return $query->whereRaw("$table.id > ?", [$this->merge->marks[$table] ?? 0])->orderByRaw("$table.id")->get()->toBase();
    }

    /**
     * @param Collection<int, Document> $documents
     * @param Collection<int, Payment> $payments
     */
    private static function words(string $member, Collection $documents, Collection $payments): string
    {
        $id = (int) substr((string) strstr($member, ':'), 1);
        $document = str_starts_with($member, 'documents:') ? $documents->get($id) : null;
        $payment = str_starts_with($member, 'payments:') ? $payments->get($id) : null;

        return match (true) {
            $document instanceof Document => $document->title().' of '.$document->dated_on->toText().', '.$document->total()->toText(),
            $payment instanceof Payment => 'payment of '.$payment->amount()->toText().' on '.$payment->paid_on->toText(),
            default => '',
        };
    }
}
