<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Records\SectionName;
use App\Actions\Engagements\EngagementSections;
use App\Actions\Records\SectionOf;
use App\Actions\Records\Sections;
use App\Models\Address;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\Party;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What shows some of what several records have: sections of others, and of cases and projects. */
final readonly class MergeNeighbours
{
    public function __construct(private Sections $sections, private EngagementSections $engagements)
    {
    }

    /** @return list<SectionOf> */
    public function own(Party $party): array
    {
        return $this->sections->of($party);
    }

    /**
     * @param list<SectionOf> $touched
     *
     * @return list<int> the records among those that they are of, each once
     */
    public static function records(array $touched): array
    {
        $records = array_filter($touched, fn (SectionOf $one) => $one->subject instanceof Party);

        return array_values(array_unique(array_map(fn (SectionOf $one) => $one->subject->id, $records)));
    }

    /**
     * @param Collection<int, Party> $parties
     *
     * @return list<SectionOf> of everybody else
     */
    public function of(Collection $parties): array
    {
        $ids = $parties->modelKeys();
        $touched = [];
        foreach ($parties as $party) {
            foreach ($this->sections->all() as $section) {
                foreach ($section->neighbours($party, ['positions' => [], 'relations' => []]) as $one) {
                    if (! in_array($one->subject->id, $ids, true)) {
                        $touched[] = $one;
                    }
                }
            }
        }

        return [...$touched, ...$this->ofEngagements($ids)];
    }

    /**
     * @param array<int> $ids
     *
     * @return list<SectionOf>
     */
    private function ofEngagements(array $ids): array
    {
        $named = EngagementParty::query()->select('engagement_id')->where(
            fn (Builder $rows) => $rows->whereIn('party_id', $ids)->orWhereIn('via_id', $ids)->orWhereIn('contact_id', $ids),
        );
        $sites = Address::query()->select('id')->whereIn('owner_id', $ids);
        $touched = [];
        foreach ([[SectionName::Parties, 'id', $named], [SectionName::Site, 'site_id', $sites]] as [$name, $column, $which]) {
            foreach (Engagement::everyOne()->whereIn($column, $which)->get() as $engagement) {
                $touched[] = $this->engagements->of($name, $engagement);
            }
        }

        return array_values(array_filter($touched));
    }
}
