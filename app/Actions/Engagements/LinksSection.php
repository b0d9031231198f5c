<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\EngagementLink;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\KeptRow;
use App\Actions\Records\Past;
use App\Models\Engagement;
use App\Models\EngagementTie;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What it is to other cases and projects. Links to those that whoever saves may not see are left as they are. */
final readonly class LinksSection implements EngagementSection
{
    public function name(): SectionName
    {
        return SectionName::Links;
    }

    public function reads(): array
    {
        return ['tiesFrom.to', 'tiesTo.from'];
    }

    public function facts(Engagement $engagement): array
    {
        $facts = [];
        foreach ($engagement->ties() as $tie) {
            $other = $tie->otherThan($engagement);
            if ($other !== null) {
                // The log is read by those, too, who may not see the other, today or once it has been made private.
                $facts["link:$tie->id"] = new LoggedFact(
                    'Linked',
                    $tie->seenFrom($engagement)->title().' '.($other->is_private ? 'a private one' : $other->number),
                    (string) $other->id,
                );
            }
        }

        return $facts;
    }

    public function state(Engagement $engagement): array
    {
        return ['links' => array_values($engagement->ties()->map(fn (EngagementTie $tie) => [
            'id' => $tie->id,
            'engagementId' => $tie->otherIdThan($engagement),
            'kind' => $tie->seenFrom($engagement)->value,
        ])->all())];
    }

    public function recall(Engagement $then, array $state, Past $past): void
    {
        /** @var list<array{id: int, engagementId: int, kind: string}> $rows */
        $rows = $state['links'];
        $others = Engagement::query()->findMany(array_column($rows, 'engagementId'))->keyBy('id');
        $then->setRelation('tiesTo', new Collection);
        $then->setRelation('tiesFrom', new Collection(array_map(fn (array $row): EngagementTie => (new EngagementTie([
            'id' => $row['id'],
            'from_id' => $then->id,
            'to_id' => $row['engagementId'],
            'kind' => $row['kind'],
        ]))->setRelations(['from' => $then, 'to' => $others->get($row['engagementId'])]), $rows)));
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function write(Engagement $engagement, array $input): void
    {
        /** @var list<array{id: int|null, engagementId: int, kind: string}> $rows */
        $rows = $input['links'];
        $kept = $this->ties($engagement)->get()->keyBy('id');
        $seen = $kept->filter(fn (EngagementTie $tie) => $tie->otherThan($engagement) !== null);
        EngagementTie::query()->whereKey(array_diff($seen->keys()->all(), array_column($rows, 'id')))->delete();
        $problems = new FieldProblems;
        foreach ($rows as $at => $row) {
            $kind = EngagementLink::from($row['kind']);
            $other = Engagement::query()->find($row['engagementId']);
            if ($other === null) {
                if (! isset($input['isRestored'])) {
                    $problems->add("links.$at.engagementId", 'Choose the other from the list.');
                }

                continue;
            }
            $one = KeptRow::of($kept, $row['id'], new EngagementTie(), isset($input['isRestored']));
            $problems->at("links.$at.engagementId", function () use ($kind, $engagement, $other, $one): void {
                $kind->mustNotTurnBack($engagement->id, $other->id, fn (int $id) => $this->onward($kind, $id, $one->id ?? 0));
            });
            $clash = $this->ties($engagement)->whereKeyNot($one->id ?? 0)->get()
                ->contains(
                    fn (EngagementTie $tie) => $tie->otherIdThan($engagement) === $other->id && $tie->seenFrom($engagement) === $kind,
                );
            if ($clash) {
                $problems->add("links.$at.engagementId", 'It is linked to that one so already.');
            }
            if ($problems->all() === []) {
                $one->fill(['from_id' => $engagement->id, 'to_id' => $other->id, 'kind' => $kind])->save();
            }
        }
        $problems->throwIfAny();
    }

    /** @return list<int> what has that link from one already, told from either end */
    private function onward(EngagementLink $kind, int $id, int $butId): array
    {
        $ties = EngagementTie::query()->whereKeyNot($butId);

        return array_values([
            ...$ties->clone()->where('from_id', $id)->where('kind', $kind)->pluck('to_id')->all(),
            ...$ties->clone()->where('to_id', $id)->where('kind', $kind->inverse())->pluck('from_id')->all(),
        ]);
    }

    /** @return Builder<EngagementTie> */
    private function ties(Engagement $engagement): Builder
    {
        return EngagementTie::query()->with('from', 'to')
            ->where(fn (Builder $ties) => $ties->where('from_id', $engagement->id)->orWhere('to_id', $engagement->id))
            ->orderBy('id');
    }
}
