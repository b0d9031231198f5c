<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Calendar\Day;
use Almanac\Merging\ApartDecisions;
use App\Models\Allocation;
use App\Models\BankDetail;
use App\Models\Card;
use App\Models\Caution;
use App\Models\EngagementParty;
use App\Models\File;
use App\Models\LogEntry;
use App\Models\Meeting;
use App\Models\Merge;
use App\Models\Model;
use App\Models\Reminder;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** What came to a record since others were made one with it, and to whom each of it goes. */
final readonly class ArrivedSince
{
    private ArrivedBooks $books;

    /** @param  array<int, string>  $names  by record, the one that stayed first */
    public function __construct(private Merge $merge, private array $names)
    {
        $this->books = new ArrivedBooks($merge, $names);
    }

    /** @return list<ApartItem> */
    public function items(ApartDecisions $decisions): array
    {
        return [...$this->books->items($decisions), ...$this->others($decisions)];
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
        return $this->books->between($items);
    }

    /** @return list<ApartItem> */
    private function others(ApartDecisions $decisions): array
    {
        $day = fn (Day $on) => $on->toText();
        $id = $this->merge->kept_id;

        return [
            ...$this->of('files', 'Files', File::query()->where('subject_id', $id), fn (File $one) => $one->name, $decisions),
            ...$this->of(
                'reminders',
                'Reminders',
                Reminder::query()->where('subject_id', $id),
                fn (Reminder $one) => "$one->text, {$day($one->due_on)}",
                $decisions,
            ),
            ...$this->of('cautions', 'Cautions', Caution::query()->where('subject_id', $id), fn (Caution $one) => $one->text, $decisions),
            ...$this->of(
                'log_entries',
                'Log',
                LogEntry::query()->where('subject_id', $id),
                fn (LogEntry $one) => ucfirst($one->kind->value).", {$day($one->happened_on)}: ".strtok($one->text, "\n"),
                $decisions,
            ),
            ...$this->of(
                'meetings',
                'Meetings',
                Meeting::query()->where('subject_id', $id),
                fn (Meeting $one) => "$one->title, {$day($one->held_on)}",
                $decisions,
            ),
            ...$this->of(
                'bank_details',
                'Bank details',
                BankDetail::query()->where('party_id', $id),
                fn (BankDetail $one) => ucfirst($one->kindTitle())." $one->masked, {$one->state->title()}",
                $decisions,
            ),
            ...$this->of(
                'cards',
                'Cards',
                Card::query()->where('party_id', $id),
                fn (Card $one) => "$one->brand •••• $one->last_four",
                $decisions,
            ),
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
            $items[] = new ApartItem(
                $key, $title, $words($one), [[$table, $number]],
                $decisions->goesTo($key, $this->merge->kept_id, $this->names),
            );
        }

        return $items;
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
}
