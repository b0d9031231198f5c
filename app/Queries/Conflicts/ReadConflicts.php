<?php

declare(strict_types=1);

namespace App\Queries\Conflicts;

use Almanac\Conflicts\Degree;
use App\Http\Data\Conflicts\ConflictFindingData;
use App\Http\Data\Conflicts\ConflictNameData;
use App\Http\Data\Conflicts\ConflictSearchData;
use App\Http\Data\Engagements\EngagementLinkData;
use App\Models\ConflictFinding;
use App\Models\ConflictName;
use App\Models\ConflictSearch;
use App\Models\Engagement;
use App\Models\Office;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** Reads conflict searches as they were; of what whoever reads may not open, only that it is there. */
final class ReadConflicts
{
    private const NEWEST = 30;

    private const READS = ['user', 'engagement', 'names.findings.decidedBy'];

    public function handle(ConflictSearch $search): ConflictSearchData
    {
        return $this->of($search->load(self::READS), $this->mayOpen(new Collection([$search])));
    }

    /** Whether whoever asks may see it: one for a private case only who may open that. */
    public static function mayRead(ConflictSearch $search): bool
    {
        return $search->engagement_id === null || Engagement::query()->whereKey($search->engagement_id)->exists();
    }

    /** The one that a search is for, where whoever asks may see it. */
    public function engagement(int $id): ?Engagement
    {
        return Engagement::query()->whereKey($id)->first();
    }

    /** @return list<ConflictSearchData> the newest first */
    public function newest(?int $engagementId): array
    {
        $searches = ConflictSearch::query()->with(self::READS)
            ->where(fn (Builder $some) => $some
                ->whereNull('engagement_id')
                ->orWhereIn('engagement_id', Engagement::query()->select('id')))
            ->when($engagementId !== null, fn (Builder $some) => $some->where('engagement_id', $engagementId))
            ->orderByDesc('id')->limit(self::NEWEST)->get();
        $mayOpen = $this->mayOpen($searches);

        return array_values($searches->map(fn (ConflictSearch $search) => $this->of($search, $mayOpen))->all());
    }

    /** @return list<ConflictSearchData> made by themselves, for what is going on, and not decided yet */
    public function waiting(): array
    {
        $searches = ConflictSearch::query()->with(self::READS)->where('is_repeated', true)
            ->whereIn('engagement_id', Engagement::query()->select('id')->whereRaw(Engagement::IS_GOING))
            ->whereHas(
                'names.findings',
                fn (Builder $findings) => $findings->whereNull('decision')->whereIn('degree', Degree::toBeDecided()),
            )
            ->orderByDesc('id')->limit(self::NEWEST)->get();
        $mayOpen = $this->mayOpen($searches);

        return array_values($searches->map(fn (ConflictSearch $search) => $this->of($search, $mayOpen))->all());
    }

    /** @param  Collection<string, int>  $mayOpen */
    private function of(ConflictSearch $search, Collection $mayOpen): ConflictSearchData
    {
        $at = $search->at->copy()->setTimezone(Office::current()->zone());
        $findings = $search->names->flatMap(fn (ConflictName $name) => $name->findings);

        return new ConflictSearchData(
            $search->id,
            EngagementLinkData::orNull($search->engagement),
            ($search->is_repeated ? 'By itself, after a change of ' : '').$search->user->name.', '.Office::dayOf($search->at).', '.$at->format('H:i'),
            $search->parties,
            $search->engagements,
            $findings->filter(
                fn (ConflictFinding $one) => $one->decision === null && $one->degree->isToBeDecided(),
            )->count(),
            array_values($search->names->map(fn (ConflictName $name) => new ConflictNameData(
                $name->id,
                $name->name,
                $name->role,
                $name->degree->value,
                array_values($name->findings->map(fn (ConflictFinding $one) => ConflictFindingData::of(
                    $one,
                    $one->engagement_number === null || $mayOpen->has($one->engagement_number),
                ))->all()),
            ))->all()),
        );
    }

    /**
     * @param Collection<int, ConflictSearch> $searches
     *
     * @return Collection<string, int> the numbers of cases and projects that whoever reads may open
     */
    private function mayOpen(Collection $searches): Collection
    {
        $numbers = $searches->flatMap(fn (ConflictSearch $search) => $search->names->flatMap(
            fn (ConflictName $name) => $name->findings->pluck('engagement_number'),
        ));

        return Engagement::query()->whereIn('number', $numbers->filter()->unique())->pluck('id', 'number');
    }
}
