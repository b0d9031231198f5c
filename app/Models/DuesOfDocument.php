<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Dues;
use Almanac\Ledger\Entry;
use Almanac\Ledger\Instalments;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Terms\DiscountOffer;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** When a document is due and what is open of it. */
trait DuesOfDocument
{
    /** When what is still open of it is due; in a list of what is due on certain days, the day of those parts. */
    public function dueInList(): ?Day
    {
        $due = ($this->partInList() ?? [null, null])[1];

        return $due === null ? $this->next_due_on ?? $this->due_on : Day::fromIso($due);
    }

    /** 0 when nothing of it is late. */
    public function daysLate(Day $today): int
    {
        $due = $this->dueInList();

        return $this->state->isOpen() && $this->kind->isOwed() && $due !== null ? max(0, $due->daysUntil($today)) : 0;
    }

    /** What is open of it; in a list of what is due on certain days, what is due on them. */
    public function openInList(): Money
    {
        $open = $this->state->isOpen() && ! $this->kind->isPromise() ? $this->open_minor : 0;

        return $this->money(($this->partInList() ?? [null])[0] ?? $open);
    }

    public function entry(): Entry
    {
        return Entry::of($this->id, $this->kind, $this->dated_on, $this->due_on, $this->total(), $this->open(), $this->settled_on);
    }

    /** @return list<Entry> what is due on different days as an entry each */
    public function entries(): array
    {
        return $this->entry()->inParts(array_values($this->dues->map(
            fn (DocumentDue $part) => [$part->due_on, $this->money($part->amount_minor), $this->money($part->open_minor)],
        )->all()));
    }

    /** Sets what is open of it, and what follows from that; saved by saveWithDues(). */
    public function setOpen(Money $open, Day $on): void
    {
        $this->open_minor = $open->minor;
        $this->state = DocumentState::issued($this->total(), $open);
        $this->settled_on = $open->isZero() ? $on : null;
        $this->next_due_on = null;
        $parts = array_values($this->dues->map(fn (DocumentDue $part) => [$part->due_on, $this->money($part->amount_minor)])->all());
        foreach (Instalments::open($parts, $open) as $at => [$due, , $left]) {
            $this->dues->get($at)?->setAttribute('open_minor', $left->minor);
            $this->next_due_on ??= $left->isZero() ? null : $due;
        }
    }

    /** Sets when it is due and which discount it gives; saved by saveWithDues(). */
    public function setDues(Dues $dues): void
    {
        $this->fill([
            'terms' => $dues->terms,
            'due_on' => $dues->due(),
            'is_in_parts' => $dues->areSeveral(),
            'discount_percent' => $dues->discount === null ? null : (string) $dues->discount->percent,
            'discount_until' => $dues->discount?->lastDay,
        ]);
        $this->setRelation(
            'dues',
            new Collection(
                array_map(
                    fn (int $rank) => new DocumentDue([
                        'rank' => $rank,
                        'due_on' => $dues->parts[$rank][0],
                        'amount_minor' => $dues->parts[$rank][1]->minor,
                        'open_minor' => $dues->parts[$rank][1]->minor,
                    ]),
                    array_keys($dues->parts),
                ),
            ),
        );
    }

    /** Saves it with the parts it is due in, which take the place of those it had. */
    public function saveWithDues(): void
    {
        $dues = $this->dues;
        $this->save();
        $this->dues()->whereKeyNot($dues->modelKeys())->delete();
        foreach ($dues as $due) {
            $due->document_id = $this->id;
            $due->save();
        }
    }

    /**
     * What of it belongs to the list at hand, where that is only a part of it.
     *
     * @return array{int, string}|null minor units and ISO day
     */
    public function partInList(): ?array
    {
        $open = $this->attributes['part_open'] ?? null;
        $due = $this->attributes['part_due'] ?? null;

        return is_numeric($open) && is_string($due) ? [(int) $open, $due] : null;
    }

    public function discount(): ?DiscountOffer
    {
        return $this->discount_percent === null || $this->discount_until === null
            ? null
            : DiscountOffer::of(Percent::of($this->discount_percent), $this->discount_until, $this->due_on ?? $this->dated_on);
    }

    /** @return HasMany<DocumentDue, $this> the earliest first */
    public function dues(): HasMany
    {
        return $this->hasMany(DocumentDue::class)->orderBy('rank');
    }
}
