<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\Decisions;
use Almanac\Merging\Hindrance;
use Almanac\Merging\MergeRefused;
use Almanac\Records\SectionName;
use App\Models\Party;
use Illuminate\Database\Eloquent\Collection;

/** The record that several become, as it will stand, and what stands in the way. */
final readonly class MergePlan
{
    /**
     * @param Party $kept the one that stays
     * @param Collection<int, Party> $sides all of them, the one that stays first
     * @param list<Hindrance> $hindrances
     * @param list<PlannedSection> $sections
     * @param string $seen changes when one of the records is saved
     */
    public function __construct(
        public Party $kept,
        public Collection $sides,
        public Decisions $decisions,
        public array $hindrances,
        public array $sections,
        public string $seen,
    ) {
    }

    /** @throws MergeRefused when something stands in the way */
    public function mustBeAllowed(): void
    {
        $standing = $this->inTheWay();
        if ($standing !== []) {
            throw MergeRefused::because($standing);
        }
    }

    /** @return list<Hindrance> without those of which somebody has said that they know */
    public function inTheWay(): array
    {
        return array_values(array_filter($this->hindrances, fn (Hindrance $one) => ! ($one->isWaived && $this->decisions->withArchived)));
    }

    /** @return Collection<int, Party> those that become the one that stays */
    public function gone(): Collection
    {
        return $this->sides->reject(fn (Party $party) => $party->id === $this->kept->id)->values();
    }

    /** @return list<int> */
    public function goneIds(): array
    {
        return array_values($this->gone()->modelKeys());
    }

    /** @return array{kept_id: int, kept_number: int, kept_name: string, decisions: array<string, mixed>} what is kept of it, done or proposed */
    public function columns(): array
    {
        return [
            'kept_id' => $this->kept->id, 'kept_number' => $this->kept->number, 'kept_name' => $this->kept->display_name,
            'decisions' => $this->decisions->toArray(),
        ];
    }

    /** @return list<array<string, mixed>> the records as they are called now */
    public function sideRows(int $mergeId): array
    {
        return array_values($this->sides->map(fn (Party $party) => [
            'merge_id' => $mergeId, 'party_id' => $party->id, 'number' => $party->number, 'name' => $party->display_name,
        ])->all());
    }

    public function section(SectionName $name): PlannedSection
    {
        foreach ($this->sections as $section) {
            if ($section->name === $name) {
                return $section;
            }
        }
        throw new \LogicException("There is no section $name->value.");
    }

    /** @return list<array{int, string, string}> what is not taken over: of which record, what, and what it said */
    public function struck(): array
    {
        $struck = [];
        foreach ($this->sections as $section) {
            foreach ($section->values as $value) {
                foreach ($value->offers as $offer) {
                    if (! $offer->isEmpty && $offer->value !== $value->chosen->value) {
                        $struck[] = [$offer->partyId, $value->title, $offer->text];
                    }
                }
            }
            foreach ($section->lines as $line) {
                if (! $line->isKept) {
                    $struck[] = [$line->line->partyId, $line->title, $line->text];
                }
            }
        }

        return $struck;
    }
}
