<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Fact;
use Almanac\Relations\RelationKind;
use App\Models\Party;
use App\Models\Relation;
use App\Support\FieldProblems;
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
                $relation->seenFrom($party)->value.': '.$relation->otherThan($party)->display_name,
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
        /** @var list<array{id: int|null, partyId: int, kind: string, since: string, until: string}> $rows */
        $rows = $input['relations'];
        $kept = $this->relations($party)->keyBy('id');
        $problems = new FieldProblems;

        $relations = [];
        foreach ($rows as $rank => $row) {
            $field = "relations.$rank";
            $other = Party::query()->find($row['partyId']);
            $kind = RelationKind::from($row['kind']);
            if ($other === null || $other->is($party)) {
                $problems->add("$field.partyId", 'Choose another record.');

                continue;
            }
            if (! $kind->fits($party->kind, $other->kind)) {
                $problems->add("$field.kind", sprintf('%s cannot be that. Choose another relation.', $other->display_name));
            }
            $period = $this->dates->read($row['since'], $row['until'], $field, $problems);
            $relations[] = ($kept->get($row['id']) ?? new Relation)->fill([
                'from_id' => $party->id,
                'to_id' => $other->id,
                'kind' => $kind,
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

    /** @return Collection<int, Relation> */
    private function relations(Party $party): Collection
    {
        return Relation::of($party)->with('from', 'to')->get();
    }
}
