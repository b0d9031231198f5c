<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Lists\Condition;
use Almanac\Records\ArchivedRecord;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\ChangeSections;
use App\Actions\Records\ClassificationSection;
use App\Actions\Records\SectionOf;
use App\Facts\Records\Ancestors;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;

/** Sets a single value of the classification: ten thousand records get an owner in seconds, each with its log and its way back. */
final readonly class ColumnEdit implements BulkActOnMany
{
    /** @param  SectionEdit  $one  the same, done to one record as if somebody had saved it there */
    public function __construct(
        private SectionEdit $one,
        private ClassificationSection $section,
        private string $column,
        private int|string|null $value,
        private ChangeSections $change,
        private IndexParties $index,
        private Clock $clock,
    ) {
    }

    public function title(): string
    {
        return $this->one->title();
    }

    public function isSo(): ?Condition
    {
        return $this->one->isSo();
    }

    public function isForUsed(): bool
    {
        return $this->one->isForUsed();
    }

    public function apply(Party $party, User $by): ?string
    {
        return $this->one->apply($party, $by);
    }

    public function takeBack(?Party $party, string $wayBack, User $by): void
    {
        $this->one->takeBack($party, $wayBack, $by);
    }

    public function applyToAll(Collection $parties, User $by): array
    {
        $others = $parties->filter(fn (Party $party) => $party->getAttribute($this->column) !== $this->value);
        $archived = $others->filter(fn (Party $party) => $party->isArchived());
        $changed = $others->diff($archived);
        $states = $this->change->ofEach(
            array_values($changed->map(fn (Party $party) => SectionOf::party($this->section, $party))->all()),
            $by,
            fn () => $this->write($changed),
        );
        $this->follow(array_keys($states));

        return array_map(strval(...), $states)
            + array_fill_keys($archived->modelKeys(), new ArchivedRecord)
            + array_fill_keys($parties->modelKeys(), null);
    }

    /** @param  Collection<int, Party>  $parties */
    private function write(Collection $parties): void
    {
        $set = [$this->column => $this->value];
        Party::query()->toBase()->whereIntegerInRaw('id', $parties->modelKeys())->update($set + ['updated_at' => $this->clock->now()]);
        $parties->each(fn (Party $party) => $party->forceFill($set)->syncOriginal());
    }

    /** @param  list<int>  $ids */
    private function follow(array $ids): void
    {
        $heirs = $this->column === 'owner_id' ? Ancestors::heirs($ids, $this->clock->today()) : [];
        $this->index->classified(array_values(array_unique([...$ids, ...$heirs])));
    }
}
