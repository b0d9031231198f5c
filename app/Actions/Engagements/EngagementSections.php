<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Calendar\Day;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\Past;
use App\Actions\Records\RecalledSection;
use App\Actions\Records\SectionOf;
use App\Models\Engagement;
use App\Models\EngagementTie;
use App\Models\SectionState;

/** The sections of a case or a project that are saved as one, by name. */
final readonly class EngagementSections
{
    /** @var array<string, EngagementSection> */
    private array $byName;

    public function __construct(HeadSection $head, PartiesSection $parties, SiteSection $site, LinksSection $links, FieldsSection $fields)
    {
        $sections = [$head, $parties, $site, $links, $fields];
        $this->byName = array_combine(array_map(fn (EngagementSection $section) => $section->name()->value, $sections), $sections);
    }

    /** Null for what is not saved as one, like the stage. */
    public function of(SectionName $name, Engagement $engagement): ?SectionOf
    {
        $section = $this->byName[$name->value] ?? null;

        return $section === null ? null : new SectionOf(
            $name,
            $engagement,
            $section->reads(),
            fn () => $section->facts($engagement),
            fn () => $section->state($engagement),
            fn (array $state, Past $past) => $section->recall($engagement, $state, $past),
            $section->isPrivate(...),
            fn (array $input) => $section->write($engagement, $input),
        );
    }

    /** The section that a state is kept of; null where whoever asks may not see what it is kept of. */
    public function kept(SectionState $state, Engagement $near): ?SectionOf
    {
        $engagement = $state->subject_id === $near->id ? $near : Engagement::query()->find($state->subject_id);

        return $engagement === null ? null : $this->of(SectionName::from($state->section), $engagement);
    }

    /**
     * Whatever else shows some of the same things, now or once this is written: a link is told at both ends.
     *
     * @param array<string, mixed> $input
     *
     * @return list<SectionOf>
     */
    public function neighbours(SectionName $name, Engagement $engagement, array $input): array
    {
        if ($name !== SectionName::Links) {
            return [];
        }
        /** @var list<array{engagementId: int, ...}> $rows */
        $rows = $input['links'];
        $others = [
            ...$engagement->load('tiesFrom', 'tiesTo')->ties()->map(fn (EngagementTie $tie) => $tie->otherIdThan($engagement))->all(),
            ...array_column($rows, 'engagementId'),
        ];

        return array_values(array_filter(
            Engagement::query()->whereKeyNot($engagement->id)->whereKey($others)->get()
                ->map(fn (Engagement $other) => $this->of($name, $other))->all(),
        ));
    }

    /** Where it stood when a day was over. It is not saved as one, but told by its moves. */
    public function stageOn(Engagement $engagement, Day $day): RecalledSection
    {
        $move = $engagement->loadMissing('moves.stage', 'stage')->history()->on($day);

        return new RecalledSection(SectionName::Stage, [
            'stage' => new LoggedFact('Stage', $move === null ? '' : "{$move->stage->name} since {$move->on->toText()}"),
        ], null);
    }

    /** @return list<SectionOf> */
    public function all(Engagement $engagement): array
    {
        return array_values(array_filter(array_map(
            fn (string $name) => $this->of(SectionName::from($name), $engagement),
            array_keys($this->byName),
        )));
    }
}
