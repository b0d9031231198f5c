<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Names\TogetherAs;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\WordingRefused;
use Almanac\Relations\RelationKind;
use App\Facts\Relations\RelationNames;
use App\Models\ListItem;
use App\Models\Party;
use App\Models\Relation;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;

/** What other parties are to this one; each of them shows the same, told from its end. */
final readonly class RelationsSection implements Section
{
    public function __construct(private TypedDates $dates)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Relations;
    }

    public function reads(): array
    {
        return [
            'relationsFrom.to',
            'relationsFrom.from',
            'relationsFrom.ownKind',
            'relationsTo.to',
            'relationsTo.from',
            'relationsTo.ownKind',
        ];
    }

    public function facts(Party $party): array
    {
        $facts = [];
        foreach ($party->relations() as $relation) {
            $facts['relation:'.$relation->id] = new LoggedFact('Relation', implode(', ', array_filter([
                $relation->seenFrom($party)->name.': '.$relation->otherThan($party)->display_name,
                $relation->together === TogetherAs::Alone ? '' : 'on an envelope: '.$relation->together->title(),
                $relation->period()->toText(),
            ])));
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        return ['relations' => array_values($party->relations()->map(fn (Relation $relation) => [
            'id' => $relation->id, 'partyId' => $relation->otherIdThan($party), 'kind' => $relation->seenFrom($party)->name,
            'together' => $relation->together->value,
            'since' => $relation->since?->toIso() ?? '', 'until' => $relation->until?->toIso() ?? '',
        ])->all())];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /** @var list<array{id: int, partyId: int, kind: string, together: string, since: string, until: string}> $rows */
        $rows = $state['relations'];
        $then->setRelation('relationsTo', new Collection);
        $then->setRelation('relationsFrom', new Collection(array_map(fn (array $row): Relation => (new Relation([
            'id' => $row['id'],
            'from_id' => $then->id,
            'to_id' => $row['partyId'],
            'kind' => $row['kind'],
            'together' => $row['together'],
            ...Past::period($row),
        ]))->setRelations([
            'from' => $then,
            'to' => $past->party($row['partyId']),
            'ownKind' => RelationKind::tryFrom($row['kind']) === null ? new ListItem(['name' => $row['kind']]) : null,
        ]), $rows)));
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function neighbours(Party $party, array $input): array
    {
        /** @var list<array{partyId: int, ...}> $rows */
        $rows = $input['relations'];
        $others = [
            ...Relation::of($party)->get()->map(fn (Relation $relation) => $relation->otherIdThan($party))->all(),
            ...array_column($rows, 'partyId'),
        ];

        return array_values(
            Party::query()
                ->whereKeyNot($party->id)->whereKey($others)->get()
                ->map(fn (Party $other) => SectionOf::party($this, $other))->all(),
        );
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{id: int|null, partyId: int, kind: string, together: string, since: string, until: string}> $rows */
        $rows = $input['relations'];
        $kept = $this->relations($party)->keyBy('id');
        $problems = new FieldProblems;

        $relations = [];
        foreach ($rows as $rank => $row) {
            $field = "relations.$rank";
            $other = Party::query()->find($row['partyId']);
            if ($other === null || $other->is($party)) {
                $problems->add("$field.partyId", 'Choose another record.');

                continue;
            }
            $ends = $this->ends($party, $other, $row['kind']);
            if ($ends === null) {
                $problems->add("$field.kind", WordingRefused::notListed($row['kind'])->getMessage());

                continue;
            }
            if (RelationKind::tryFrom($ends['kind'])?->fits($party->kind, $other->kind) === false) {
                $problems->add("$field.kind", sprintf('%s cannot be that. Choose another relation.', $other->display_name));
            }
            $period = $this->dates->read($row['since'], $row['until'], $field, $problems);
            $relations[] = KeptRow::of($kept, $row['id'], new Relation, isset($input['isRestored']))->fill($ends + [
                'together' => $row['kind'] === RelationKind::Spouse->value ? TogetherAs::from($row['together']) : TogetherAs::Alone,
                'since' => $period?->since,
                'until' => $period?->until,
            ]);
        }
        $problems->throwIfAny();

        $gone = array_diff($kept->keys()->all(), array_column($rows, 'id'));
        Relation::query()->whereKey($gone)->delete();
        foreach ($relations as $relation) {
            $relation->save();
        }
    }

    /**
     * How it is kept that the other is that to the party; a kind of the office's own is kept from the end it is named from.
     *
     * @return array{from_id: int, to_id: int, kind: string, list_item_id: int|null}|null null when no relation is called so
     */
    private function ends(Party $party, Party $other, string $name): ?array
    {
        if (RelationKind::tryFrom($name) !== null) {
            return ['from_id' => $party->id, 'to_id' => $other->id, 'kind' => $name, 'list_item_id' => null];
        }
        $own = RelationNames::own($name);
        if ($own === null) {
            return null;
        }
        $isForward = $own->name === $name;

        return [
            'from_id' => $isForward ? $party->id : $other->id,
            'to_id' => $isForward ? $other->id : $party->id,
            'kind' => '',
            'list_item_id' => $own->id,
        ];
    }

    /** @return Collection<int, Relation> */
    private function relations(Party $party): Collection
    {
        return Relation::of($party)->with('from', 'to')->get();
    }
}
