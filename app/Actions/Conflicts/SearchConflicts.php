<?php

declare(strict_types=1);

namespace App\Actions\Conflicts;

use Almanac\Conflicts\ConflictSearch as Search;
use Almanac\Conflicts\Degree;
use Almanac\Conflicts\Finding;
use Almanac\Conflicts\PastRole;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\LogChanges;
use App\Facts\Conflicts\AlikeParties;
use App\Facts\Conflicts\Mentions;
use App\Facts\Conflicts\PastRoles;
use App\Facts\Conflicts\Surroundings;
use App\Models\ConflictFinding;
use App\Models\ConflictName;
use App\Models\ConflictSearch;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Searches the book for all names of a case or project that is to be begun, and keeps what was found as it was. */
final readonly class SearchConflicts
{
    private const MOST_FINDINGS = 30;

    private const LONGEST = 200;

    public function __construct(private LogChanges $log, private Clock $clock)
    {
    }

    /**
     * @param list<array{name: string, role: string}> $names as they are typed or pasted
     *
     * @throws ValidationException when there is no name to look for
     */
    public function handle(?Engagement $engagement, array $names, User $by): ConflictSearch
    {
        $names = $this->tidied($names);
        if ($names === []) {
            throw ValidationException::withMessages(['names' => 'Type at least one name.']);
        }

        return DB::transaction(fn (): ConflictSearch => $this->keep($engagement, $names, $this->find($engagement, $names), false, $by));
    }

    /**
     * Searches again for some who are concerned; kept is only what earlier searches for it have not found, on the other
     * side or near it, and nothing where there is none. Runs inside a transaction.
     *
     * @param list<array{name: string, role: string}> $names
     */
    public function again(Engagement $engagement, array $names, User $by): void
    {
        $names = $this->tidied($names);
        $known = ConflictFinding::query()->whereHas('name.search', fn (Builder $search) => $search->where('engagement_id', $engagement->id))
            ->pluck('sentence')->flip();
        [$found, $parties, $engagements] = $this->find($engagement, $names);
        $shown = $parties->map(fn (Party $party) => $party->display_name)->all();
        $isNew = fn (Finding $one) => $one->degree->isToBeDecided() && ! $known->has($one->sentence($shown));
        $found = array_map(fn (array $ofName) => array_values(array_filter($ofName, $isNew)), $found);
        $with = array_filter($found, fn (array $ofName) => $ofName !== []);
        if ($with !== []) {
            $named = array_values(array_intersect_key($names, $with));
            $this->keep($engagement, $named, [array_values($with), $parties, $engagements], true, $by);
        }
    }

    /**
     * @param list<array{name: string, role: string}> $names
     *
     * @return array{list<list<Finding>>, Collection<int, Party>, Collection<int, Engagement>} what is found for each, and
     *                                                                                         what it names
     */
    private function find(?Engagement $engagement, array $names): array
    {
        $alike = array_map(fn (array $one) => AlikeParties::of($one['name']), $names);
        [$ties, $reached] = Surroundings::of(array_values(array_unique(array_merge([], ...$alike))));
        $past = PastRoles::of($reached, $engagement?->id);
        $searched = Search::of($ties, $past, PastRoles::opposition());

        return [
            array_map(
                fn (array $ids, array $one) => array_slice($searched->findings($ids, $one['role']), 0, self::MOST_FINDINGS),
                $alike,
                $names,
            ),
            Party::query()->findMany($reached, ['id', 'number', 'display_name'])->keyBy('id'),
            Engagement::everyOne()->with('kind', 'readers')
                ->findMany(array_map(fn (PastRole $role) => $role->engagementId, $past))->keyBy('id'),
        ];
    }

    /**
     * @param list<array{name: string, role: string}> $names
     * @param array{list<list<Finding>>, Collection<int, Party>, Collection<int, Engagement>} $found
     */
    private function keep(?Engagement $engagement, array $names, array $found, bool $isRepeated, User $by): ConflictSearch
    {
        [$findings, $parties, $engagements] = $found;
        $search = ConflictSearch::query()->create([
            'engagement_id' => $engagement?->id,
            'user_id' => $by->id,
            'at' => $this->clock->now(),
            'parties' => Party::query()->count(),
            'engagements' => Engagement::everyOne()->count(),
            'is_repeated' => $isRepeated,
        ]);
        foreach ($names as $rank => $one) {
            $name = ConflictName::query()->create([
                'search_id' => $search->id,
                'rank' => $rank,
                'name' => $one['name'],
                'role' => $one['role'],
                'degree' => Degree::greatest(array_map(fn (Finding $finding) => $finding->degree, $findings[$rank])),
            ]);
            foreach ($findings[$rank] as $at => $finding) {
                $name->findings()->save($this->kept($finding, $parties, $engagements)->fill(['rank' => $at]));
            }
            foreach ($isRepeated ? [] : Mentions::of($one['name']) as $at => $mention) {
                $name->findings()->save($this->mentioned($mention)->fill(['rank' => count($findings[$rank]) + $at]));
            }
        }
        if ($engagement !== null) {
            $this->log->handle($engagement, SectionName::Conflicts, Difference::between([], [
                "search:$search->id" => new LoggedFact(
                    $isRepeated ? 'Conflict search, by itself' : 'Conflict search',
                    $this->told($search),
                ),
            ]), $by);
        }

        return $search;
    }

    /**
     * @param list<array{name: string, role: string}> $names
     *
     * @return list<array{name: string, role: string}> each once
     */
    private function tidied(array $names): array
    {
        $tidied = [];
        foreach ($names as ['name' => $name, 'role' => $role]) {
            $name = mb_substr(trim(preg_replace('/[\p{Cc}\s]+/u', ' ', $name) ?? ''), 0, self::LONGEST);
            if ($name !== '') {
                $tidied[mb_strtolower("$name\n$role")] ??= ['name' => $name, 'role' => trim($role)];
            }
        }

        return array_values($tidied);
    }

    /**
     * @param Collection<int, Party> $parties
     * @param Collection<int, Engagement> $engagements
     */
    private function kept(Finding $finding, Collection $parties, Collection $engagements): ConflictFinding
    {
        $names = $parties->map(fn (Party $party) => $party->display_name)->all();
        $engagement = $finding->role === null ? null : $engagements->get($finding->role->engagementId);

        return new ConflictFinding([
            'degree' => $finding->degree,
            'sentence' => $finding->sentence($names),
            'hidden_sentence' => ($engagement === null ? null : $this->hidden($engagement)) ?? $finding->sentence($names),
            'party_number' => $finding->role?->ask === null ? $parties->get($finding->partyId)?->number : null,
            'engagement_number' => $engagement?->number,
        ]);
    }

    private function mentioned(Mentions $mention): ConflictFinding
    {
        return new ConflictFinding(['degree' => Degree::Known, 'sentence' => $mention->sentence] + ($mention->subject instanceof Party
            ? ['hidden_sentence' => $mention->sentence, 'party_number' => $mention->subject->number]
            : [
                'hidden_sentence' => $this->hidden($mention->subject) ?? $mention->sentence,
                'engagement_number' => $mention->subject->number,
            ]));
    }

    /** What is said of a private one to those who may not open it; null of any other. */
    private function hidden(Engagement $engagement): ?string
    {
        return $engagement->is_private
            ? Finding::hidden($engagement->kind->name, PastRoles::whoMay($engagement))
            : null;
    }

    private function told(ConflictSearch $search): string
    {
        $names = $search->names()->get();
        $opposing = $names->where('degree', Degree::Opposes)->count();
        $near = $names->where('degree', Degree::Near)->count();

        return $names->count().' '.($names->count() === 1 ? 'name' : 'names').' searched: '
            .($opposing + $near === 0 ? 'nothing on the other side' : "$opposing on the other side, $near near it");
    }
}
