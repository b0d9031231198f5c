<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\LoggedFact;
use Almanac\Records\OfficeList;
use Almanac\Records\SectionName;
use Almanac\Records\WordingRefused;
use App\Actions\Office\ListedNames;
use App\Models\ListItem;
use App\Models\Party;
use App\Models\Position;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\Pivot;

/** The people at a company, or the positions of a person: the same rows seen from either end. */
final readonly class PositionsSection implements Section
{
    public function __construct(private TypedDates $periods, private KeepOnePrimary $primaries)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Positions;
    }

    public function reads(): array
    {
        return [
            'heldPositions.company',
            'heldPositions.duties',
            'staffPositions.person',
            'staffPositions.duties',
        ];
    }

    public function facts(Party $party): array
    {
        $facts = [];
        foreach ($party->positions() as $position) {
            $facts['position:'.$position->id] = new LoggedFact('Position', implode(', ', array_filter([
                $position->otherThan($party)->display_name,
                $position->title,
                $position->department,
                ...array_map(
                    fn (string $duty) => (in_array($duty, $position->firstFor(), true) ? 'first for ' : 'for ').$duty,
                    $position->dutyNames(),
                ),
                $position->is_primary ? 'primary' : '',
                $position->period()->toText(),
            ])));
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        return ['positions' => array_values($party->positions()->map(fn (Position $position) => [
            'id' => $position->id, 'partyId' => $position->otherIdThan($party),
            'title' => $position->title, 'department' => $position->department,
            'duties' => $position->dutyNames(), 'firstFor' => $position->firstFor(), 'isPrimary' => $position->is_primary,
            'since' => $position->since?->toIso() ?? '', 'until' => $position->until?->toIso() ?? '',
        ])->all())];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /**
         * @var list<array{
         *     id: int, partyId: int, title: string, department: string, duties: list<string>, firstFor: list<string>,
         *     isPrimary: bool, since: string, until: string,
         * }> $rows
         */
        $rows = $state['positions'];
        $then->setRelation($then->isPerson() ? 'heldPositions' : 'staffPositions', new Collection(array_map(
            function (array $row) use ($then, $past): Position {
                $other = $past->party($row['partyId']);
                [$person, $company] = $then->isPerson() ? [$then, $other] : [$other, $then];

                return (new Position([
                    'id' => $row['id'],
                    'person_id' => $person->id,
                    'company_id' => $company->id,
                    'title' => $row['title'],
                    'department' => $row['department'],
                    'is_primary' => $row['isPrimary'],
                    ...Past::period($row),
                ]))->setRelations([
                    'person' => $person,
                    'company' => $company,
                    'duties' => new Collection(array_map(
                        fn (string $duty) => (new ListItem(['name' => $duty]))
                            ->setRelation('pivot', (new Pivot)->forceFill(['is_primary' => in_array($duty, $row['firstFor'], true)])),
                        $row['duties'],
                    )),
                ]);
            },
            $rows,
        )));
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    /** Everybody at the companies concerned: of them, one is the primary, and one the first for a duty. */
    public function neighbours(Party $party, array $input): array
    {
        /** @var list<array{partyId: int, ...}> $rows */
        $rows = $input['positions'];
        $positions = $party->isPerson() ? 'heldPositions' : 'staffPositions';
        $kept = $party->relationLoaded($positions) ? $party->positions() : $party->eitherPositions();
        $others = [
            ...$kept->pluck($party->isPerson() ? 'company_id' : 'person_id')->all(),
            ...array_column($rows, 'partyId'),
        ];
        $colleagues = $party->isPerson() ? self::colleagues($party, array_values(array_unique($others))) : [];

        return array_values(Party::query()->whereKeyNot($party->id)->whereKey([...$others, ...$colleagues])->get()
            ->map(fn (Party $other) => SectionOf::party($this, $other))->all());
    }

    /**
     * Who may become the primary there, or cease to be, or be the first to be asked about a duty: nobody else of those who
     * work with them is another by it.
     *
     * @param list<int> $companyIds
     *
     * @return list<int>
     */
    private static function colleagues(Party $person, array $companyIds): array
    {
        $at = fn (): Builder => Position::query()->where('person_id', '!=', $person->id);
        $next = array_map(
            fn (int $id): mixed => $at()->where('company_id', $id)->orderByRaw('until is not null')->orderBy('id')->value('person_id'),
            $companyIds,
        );
        $marked = $at()->whereIntegerInRaw('company_id', $companyIds)
            ->where(fn (Builder $some) => $some->where('is_primary', true)->orWhereHas('duties'))
            ->pluck('person_id')->all();

        return array_values(array_unique(array_filter([...$next, ...$marked])));
    }

    public function write(Party $party, array $input): void
    {
        /**
         * @var list<array{
         *     id: int|null, partyId: int, title: string, department: string, duties: list<string>, firstFor: list<string>,
         *     isPrimary: bool, since: string, until: string,
         * }> $rows
         */
        $rows = $input['positions'];
        $kept = $party->loadMissing($this->reads())->positions()->keyBy('id');
        $others = $this->others($party, $kept, array_column($rows, 'partyId'));
        $problems = new FieldProblems;

        $positions = [];
        $duties = [];
        foreach ($rows as $rank => $row) {
            $field = "positions.$rank";
            $other = $others->get($row['partyId']);
            if ($other === null || $other->kind === $party->kind) {
                $problems->add("$field.partyId", $party->isPerson() ? 'Choose the company.' : 'Choose the person.');

                continue;
            }
            $period = $this->periods->read($row['since'], $row['until'], $field, $problems);
            $duties[] =
                $problems->at("$field.duties", fn () => $this->duties(array_values(array_unique($row['duties'])), $row['firstFor'])) ?? [];
            $positions[] = KeptRow::of($kept, $row['id'], new Position(), isset($input['isRestored']))->fill([
                'person_id' => $party->isPerson() ? $party->id : $other->id,
                'company_id' => $party->isPerson() ? $other->id : $party->id,
                'title' => trim($row['title']),
                'department' => trim($row['department']),
                'is_primary' => $row['isPrimary'],
                'since' => $period?->since,
                'until' => $period?->until,
            ]);
        }
        $problems->throwIfAny();

        KeptRow::deleteBut($kept, array_filter(array_column($rows, 'id')));
        $companies = array_column($kept->except(array_filter(array_column($rows, 'id')))->all(), 'company_id');
        $marked = [];
        foreach ($positions as $at => $position) {
            $was = $position->exists ? $position->getOriginal('company_id') : null;
            $isOther = $position->isDirty();
            $position->save();
            if ($duties[$at] !== self::dutiesOf($position)) {
                $position->duties()->sync($duties[$at]);
                $isOther = true;
            }
            // At a company where nothing is other, the same stays the primary.
            array_push($companies, ...$isOther ? [$was ?? $position->company_id, $position->company_id] : []);
            $marked[$position->id] = $position->is_primary;
        }
        foreach (array_unique($companies) as $company) {
            $this->primaries->handle((int) $company, $marked);
        }
        $party->unsetRelation('heldPositions')->unsetRelation('staffPositions');
    }

    /**
     * Those whom rows name at the other end; whoever is there already is known.
     *
     * @param Collection<int, Position> $kept
     * @param list<int> $ids
     *
     * @return Collection<int, Party> by number
     */
    private function others(Party $party, Collection $kept, array $ids): Collection
    {
        $known = $kept->map(fn (Position $position) => $position->otherThan($party))->keyBy('id');
        $missing = array_diff($ids, $known->keys()->all());

        return $missing === [] ? $known : $known->union(Party::query()->findMany($missing)->keyBy('id'));
    }

    /** @return array<int, array{is_primary: bool}> as they are kept: by entry of the list */
    private static function dutiesOf(Position $position): array
    {
        return $position->wasRecentlyCreated ? [] : $position->duties
            ->mapWithKeys(fn (ListItem $duty): array => [$duty->id => [
                'is_primary' => (bool) $duty->getRelationValue('pivot')?->getAttribute('is_primary'),
            ]])->all();
    }

    /**
     * @param list<string> $names
     * @param list<string> $first those of them that this person is the first to be asked about
     *
     * @return array<int, array{is_primary: bool}>
     *
     * @throws WordingRefused when one is no longer in the list
     */
    private function duties(array $names, array $first): array
    {
        return array_combine(
            ListedNames::ids(OfficeList::Duties, $names),
            array_map(fn (string $name) => ['is_primary' => in_array($name, $first, true)], $names),
        );
    }
}
