<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Banking\BankState;
use Almanac\Merging\Decisions;
use Almanac\Merging\Hindrances;
use Almanac\Merging\MergeRefused;
use Almanac\Merging\Offer;
use Almanac\Records\SectionName;
use App\Actions\Records\Section;
use App\Actions\Records\Sections;
use App\Facts\Merging\MergeSides;
use App\Facts\Records\SectionVersions;
use App\Models\BankDetail;
use App\Models\FormerRecord;
use App\Models\Merge;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Works out the record that several become: what each of its sections says, whose it is, and why. */
final readonly class PlanMerge
{
    public function __construct(private Sections $sections, private PlanSection $section, private Clock $clock)
    {
    }

    /**
     * @param list<int> $ids of the records
     * @param int|null $keptId the one that stays; null lets it be proposed
     *
     * @throws MergeRefused when one of them is gone or was made one with another, or there are too few or too many
     */
    public function of(array $ids, ?int $keptId, Decisions $decisions, User $by): MergePlan
    {
        $ids = array_values(array_unique($ids));
        match (true) {
            count($ids) < 2 => throw MergeRefused::tooFew(),
            count($ids) > MergeRefused::MOST => throw MergeRefused::tooMany(),
            default => null,
        };
        $parties = Party::query()->findMany($ids);
        if ($parties->count() < count($ids)) {
            $former = FormerRecord::query()->whereIn('party_id', $ids)->first();
            throw $former === null
                ? MergeRefused::isGone()
                : MergeRefused::isDone(Merge::query()->with('user')->findOrFail($former->merge_id)->user->name ?? 'Somebody');
        }
        $kept = $parties->find($keptId ?? $this->proposed($parties)) ?? throw MergeRefused::isGone();
        $sides = new Collection([
            $kept,
            ...$parties->reject(fn (Party $party) => $party->id === $kept->id)->sortBy('number')->values()->all(),
        ]);
        $hindrances = Hindrances::of(MergeSides::of($sides, $this->clock->today(), $by));
        $isOneKind = $sides->pluck('kind')->unique()->count() === 1;

        return new MergePlan(
            $kept,
            $sides,
            $decisions,
            $hindrances,
            // Of a person and a company nothing could be put together.
            $isOneKind
                ? [
                    ...array_map(fn (Section $section) => $this->section->handle($section, $sides, $decisions), $this->sections->all()),
                    $this->bank($sides, $decisions),
                ]
                : [],
            $this->seen($sides),
        );
    }

    /**
     * The one that most hangs on stays; of several the oldest.
     *
     * @param Collection<int, Party> $parties
     */
    private function proposed(Collection $parties): int
    {
        $count = fn (string $table) => DB::table($table)->whereIntegerInRaw('party_id', $parties->modelKeys())->groupBy('party_id')
            ->selectRaw('party_id, count(*) as many')->pluck('many', 'party_id');
        $documents = $count('documents');
        $payments = $count('payments');
        $sorted = $parties->sort(fn (Party $a, Party $b) => [
            $a->isArchived(), ($documents[$b->id] ?? 0) + ($payments[$b->id] ?? 0), $a->number,
        ] <=> [
            $b->isArchived(), ($documents[$a->id] ?? 0) + ($payments[$a->id] ?? 0), $b->number,
        ]);

        return $sorted->first()->id ?? 0;
    }

    /** @param  Collection<int, Party>  $sides */
    private function seen(Collection $sides): string
    {
        $versions = [];
        foreach ($sides->sortBy('id') as $party) {
            $of = SectionVersions::all($party);
            ksort($of);
            $versions[] = [
                $party->id, $of, BankDetail::query()->where('party_id', $party->id)->max('updated_at'),
                $party->archived_on?->toIso(),
            ];
        }

        return hash('sha256', json_encode($versions, JSON_THROW_ON_ERROR));
    }

    /**
     * Of the bank details in force, one of each kind stays so: the one that was confirmed last.
     *
     * @param Collection<int, Party> $sides
     */
    private function bank(Collection $sides, Decisions $decisions): PlannedSection
    {
        $details = BankDetail::query()->whereIn('party_id', $sides->modelKeys())->where('state', BankState::Confirmed)->get();
        $values = [];
        foreach ($details->groupBy('kind') as $kind => $of) {
            $offers = $sides->map(function (Party $party) use ($of): Offer {
                $its = $of->firstWhere('party_id', $party->id);

                return new Offer(
                    $party->id,
                    $its?->fingerprint,
                    $its->masked ?? '',
                    $its === null,
                    $its?->decided_at?->getTimestamp(),
                    $its?->decided_at === null ? null : Clock::dayOf($its->decided_at),
                    isConfirmed: $its !== null,
                );
            })->all();
            if ($offers !== []) {
                $values[] = PlannedValue::of("bank/$kind", ucfirst($of[0]?->kindTitle() ?? ''), array_values($offers), false, $decisions);
            }
        }

        return new PlannedSection(SectionName::Bank, null, $values, [], [], [], []);
    }
}
