<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Records\PartyKind;
use Almanac\Records\SectionName;
use App\Models\Address;
use App\Models\FormerRecord;
use App\Models\Party;
use App\Models\SectionState;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The book as it was at a moment, as far as one subject needs it: the states of its sections, and whom they name, as
 * they were called then. Read in three queries, however many they name.
 */
final class Past
{
    /** The keys by which states name a party. */
    private const NAMING = ['partyId', 'viaId', 'contactId', 'ofPartyId'];

    private const DELETED = 'a record deleted since';

    /** @var array<string, SectionState> of the subject, by section */
    private array $states;

    /** @var array<int, Party> */
    private array $parties = [];

    public function __construct(int $subjectId, private CarbonImmutable $end, IdentitySection $identity)
    {
        $this->states = $this->latest([$subjectId])[$subjectId] ?? [];
        $named = [];
        foreach ($this->states as $state) {
            $read = $state->state;
            array_walk_recursive($read, function (mixed $value, int|string $key) use (&$named): void {
                if (is_int($value) && in_array($key, self::NAMING, true)) {
                    $named[$value] = true;
                }
            });
        }
        $names = $this->latest(array_keys($named), SectionName::Identity);
        foreach (Party::query()->findMany(array_keys($named)) as $party) {
            $kept = $names[$party->id][SectionName::Identity->value] ?? null;
            if ($kept !== null) {
                $identity->recall($party, $kept->state, $this);
            }
            $this->parties[$party->id] = $party;
        }
    }

    /** What a section of the subject was; null where it has been what it is now from the first day on. */
    public function state(SectionName $section): ?SectionState
    {
        return $this->states[$section->value] ?? null;
    }

    /** Somebody whom a state names. */
    public function party(int $id): Party
    {
        return $this->parties[$id] ??= (new Party(['id' => $id, 'kind' => PartyKind::Company]))
            ->forceFill(['display_name' => FormerRecord::query()->find($id)->name ?? self::DELETED]);
    }

    /**
     * The address of somebody, as a state has it.
     *
     * @param array<string, mixed> $parts
     */
    public function address(array $parts, int $id, int $ownerId, ?Party $then = null): Address
    {
        return (new Address([
            'id' => $id,
            'owner_id' => $ownerId,
            ...array_intersect_key($parts, array_flip(['country', 'lines', 'locality', 'region', 'postcode'])),
        ]))->setRelation('owner', $then?->id === $ownerId ? $then : $this->party($ownerId));
    }

    /**
     * What the owner of an address had it as; null where that is not known.
     *
     * @return array<string, mixed>|null
     */
    public function addressOf(int $ownerId, int $addressId): ?array
    {
        $kept = $this->latest([$ownerId], SectionName::Addresses)[$ownerId][SectionName::Addresses->value] ?? null;
        /** @var list<array<string, mixed>> $rows */
        $rows = $kept?->state['addresses'] ?? [];
        foreach ($rows as $row) {
            if ($row['addressId'] === $addressId) {
                return $row;
            }
        }

        return Address::query()->find($addressId)?->only('country', 'lines', 'locality', 'region', 'postcode');
    }

    /**
     * From when until when, as a state has it.
     *
     * @param array{since: string, until: string, ...} $row
     *
     * @return array{since: Day|null, until: Day|null}
     */
    public static function period(array $row): array
    {
        return ['since' => self::day($row['since']), 'until' => self::day($row['until'])];
    }

    /** A day as a state has it. */
    public static function day(string $iso): ?Day
    {
        return $iso === '' ? null : Day::fromIso($iso);
    }

    /**
     * The last state of each section before the moment; where there is none, what it was before its first save.
     *
     * @param list<int> $subjectIds
     *
     * @return array<int, array<string, SectionState>> by subject and section
     */
    private function latest(array $subjectIds, ?SectionName $only = null): array
    {
        $latest = DB::table('section_states')
            ->selectRaw('coalesce(max(case when at < ? then id end), min(id))', [$this->end->toDateTimeString()])
            ->whereIn('subject_id', $subjectIds)
            ->when($only !== null, fn (Builder $states) => $states->where('section', $only?->value))
            ->groupBy('subject_id', 'section');
        $states = [];
        foreach (SectionState::query()->whereIn('id', $latest)->get() as $state) {
            $states[$state->subject_id][$state->section] = $state;
        }

        return $states;
    }
}
