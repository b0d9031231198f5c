<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Names\TogetherAs;
use Almanac\Records\Fact;
use Almanac\Records\WordingRefused;
use Almanac\Relations\RelationKind;
use App\Models\Party;
use App\Models\Relation;
use App\Support\FieldProblems;
use App\Support\RelationNames;
use App\Support\SectionName;
use App\Support\TypedDates;
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

    public function snapshot(Party $party): array
    {
        $facts = [];
        foreach ($this->relations($party) as $relation) {
            $facts['relation:'.$relation->id] = new Fact('Relation', implode(', ', array_filter([
                $relation->seenFrom($party)->name.': '.$relation->otherThan($party)->display_name,
                $relation->together === TogetherAs::Alone ? '' : 'on an envelope: '.$relation->together->value,
                $relation->period()->toText(),
            ])));
        }

        return $facts;
    }

    public function neighbours(Party $party): array
    {
        return array_values($this->relations($party)
            ->map(fn (Relation $relation) => $relation->otherThan($party))
            ->unique('id')->all());
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
            $relations[] = ($kept->get($row['id']) ?? new Relation)->fill($ends + [
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
