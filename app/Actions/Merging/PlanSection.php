<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Calendar\Day;
use Almanac\Merging\Decisions;
use Almanac\Merging\Line;
use Almanac\Merging\Lines;
use Almanac\Merging\Offer;
use Almanac\Merging\SectionParts;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\Section;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Works out what one section says of the record that several become. */
final class PlanSection
{
    /** Of names the fuller is proposed. */
    private const NAMES = ['prefix', 'given', 'middle', 'family', 'suffix', 'preferred', 'postNominals', 'name', 'legal'];

    /** @param  Collection<int, Party>  $sides  that of the record that stays first */
    public function handle(Section $section, Collection $sides, Decisions $decisions): PlannedSection
    {
        $name = $section->name();
        $parts = SectionParts::of($name);
        $facts = $singles = $lines = $members = [];
        $state = null;
        $sides->each(fn (Party $party) => $party->unsetRelations());
        $sides->load($section->reads());
        foreach ($sides as $party) {
            $its = $section->state($party);
            $state ??= $its;
            $facts[$party->id] = $section->facts($party);
            $singles[$party->id] = $parts->singles($its);
            $lines[$party->id] = $parts->lines($its);
            $members[$party->id] = $parts->members($its);
        }
        $values = $this->values($name, $singles, $facts, $decisions);
        $all = Lines::of($name, $lines);
        $kept = $this->settled($name, Lines::kept($all, $decisions->linesOf($name->value)), $decisions, $sides);
        $joined = self::joined($members);

        return new PlannedSection(
            $name,
            $section,
            $values,
            array_map(fn (Line $line) => $this->line($name, $line, $kept, $facts[$line->partyId][$line->key] ?? null), $all),
            array_map(fn (string $key, array $names) => [self::fact($facts, $key)->label ?? $key, $names], array_keys($joined), $joined),
            $parts->with(
                $state ?? [],
                self::chosen($values, $singles),
                $kept,
                $joined,
            ),
            self::doubles($all, $kept),
        );
    }

    /**
     * @param array<int, array<string, array<string, mixed>>> $singles by record and key
     * @param array<int, array<string, LoggedFact>> $facts
     *
     * @return list<PlannedValue>
     */
    private function values(SectionName $name, array $singles, array $facts, Decisions $decisions): array
    {
        $changed = $this->changed($name, array_keys($singles));
        $values = [];
        foreach (array_keys(array_replace([], ...array_values($singles))) as $key) {
            $key = (string) $key;
            $offers = [];
            foreach ($singles as $partyId => $of) {
                $slice = $of[$key] ?? [];
                $isEmpty = SectionParts::isEmpty($slice);
                [$id, $day] = $changed["$partyId $key"] ?? [null, null];
                $offers[] = new Offer(
                    $partyId,
                    $isEmpty ? null : $slice,
                    $isEmpty ? '' : $facts[$partyId][$key]->value ?? '',
                    $isEmpty,
                    $id,
                    $day,
                );
            }
            if ($offers === []) {
                continue;
            }
            $planned = PlannedValue::of(
                "$name->value/$key", self::fact($facts, $key)->label ?? 'Detail', $offers, in_array($key, self::NAMES, true),
                $decisions,
            );
            if (! $planned->isEmpty()) {
                $values[] = $planned;
            }
        }

        return $values;
    }

    /**
     * When each value was changed last, by the change log.
     *
     * @param list<int> $ids
     *
     * @return array<string, array{int, Day}> by record and key
     */
    private function changed(SectionName $name, array $ids): array
    {
        $changed = [];
        $rows = DB::table('changes')->whereIntegerInRaw('subject_id', $ids)->where('section', $name->value)->where('key', '!=', '')
            ->groupBy('subject_id', 'key')->selectRaw('subject_id, key, max(id) as id, max(at) as at')->get();
        foreach ($rows as $row) {
            $changed["$row->subject_id $row->key"] = [
                (int) $row->id,
                Clock::dayOf(new \DateTimeImmutable((string) $row->at, new \DateTimeZone('UTC'))),
            ];
        }

        return $changed;
    }

    /** @param  array<string, array<string, mixed>>  $kept */
    private function line(SectionName $name, Line $line, array $kept, ?LoggedFact $fact): PlannedLine
    {
        $row = $kept[$line->key] ?? $line->row;

        return new PlannedLine(
            "$name->value/$line->key",
            $line,
            $fact->label ?? $name->title(),
            $fact->value ?? '',
            isset($kept[$line->key]),
            $name === SectionName::Reach && is_string($row['label']) ? $row['label'] : null,
            in_array($name, [SectionName::Reach, SectionName::Addresses], true) ? (bool) $row['isPrimary'] : null,
        );
    }

    /**
     * The lines that stay, as they are decided: called otherwise, one first of each kind, and without links to what is
     * their own by now.
     *
     * @param array<string, array<string, mixed>> $kept by key
     * @param Collection<int, Party> $sides
     *
     * @return array<string, array<string, mixed>>
     */
    private function settled(SectionName $name, array $kept, Decisions $decisions, Collection $sides): array
    {
        $ids = $sides->modelKeys();
        $first = [];
        foreach ($kept as $key => $row) {
            $part = "$name->value/$key";
            if (isset($row['label'], $decisions->labels[$part])) {
                $row['label'] = $decisions->labels[$part];
            }
            if (in_array($row['ofPartyId'] ?? 0, $ids, true)) {
                $row = [...$row, 'ofPartyId' => null, ...array_intersect_key(['sameAsId' => null, 'linkedAddressId' => null], $row)];
            }
            $kind = is_string($row['kind'] ?? null) ? $row['kind'] : '';
            if (in_array($part, $decisions->primary, true)) {
                $first[$kind] = $key;
            }
            $kept[$key] = $row;
        }
        foreach ($kept as $key => $row) {
            $kind = is_string($row['kind'] ?? null) ? $row['kind'] : '';
            if (isset($row['isPrimary'], $first[$kind])) {
                $kept[$key]['isPrimary'] = $first[$kind] === $key;
            }
        }

        return array_filter($kept, fn (array $row) => $name !== SectionName::Relations || ! in_array($row['partyId'], $ids, true));
    }

    /**
     * @param list<PlannedValue> $values
     * @param array<int, array<string, array<string, mixed>>> $singles
     *
     * @return array<string, array<string, mixed>> what is taken of each single value, by its key
     */
    private static function chosen(array $values, array $singles): array
    {
        $chosen = [];
        foreach ($values as $value) {
            $key = substr($value->part, (int) strpos($value->part, '/') + 1);
            $chosen[$key] = $singles[$value->chosen->partyId][$key] ?? ['value' => ''];
        }

        return $chosen;
    }

    /**
     * @param array<int, array<string, list<string>>> $members by record
     *
     * @return array<string, list<string>>
     */
    private static function joined(array $members): array
    {
        $joined = [];
        foreach ($members as $of) {
            foreach ($of as $key => $names) {
                $joined[$key] = array_values(array_unique([...$joined[$key] ?? [], ...$names]));
            }
        }

        return $joined;
    }

    /**
     * @param list<Line> $all
     * @param array<string, array<string, mixed>> $kept
     *
     * @return array<int, int>
     */
    private static function doubles(array $all, array $kept): array
    {
        $doubles = [];
        foreach ($all as $line) {
            $stays = $kept[$line->doubleOf ?? ''] ?? null;
            if ($stays !== null && ! isset($kept[$line->key]) && is_int($line->row['id']) && is_int($stays['id'])) {
                $doubles[$line->row['id']] = $stays['id'];
            }
        }

        return $doubles;
    }

    /** @param  array<int, array<string, LoggedFact>>  $facts */
    private static function fact(array $facts, string $key): ?LoggedFact
    {
        foreach ($facts as $of) {
            if (isset($of[$key])) {
                return $of[$key];
            }
        }

        return null;
    }
}
