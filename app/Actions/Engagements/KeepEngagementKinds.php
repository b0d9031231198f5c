<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\EngagementRefused;
use Almanac\Engagements\EngagementRole as Role;
use Almanac\Engagements\Stage;
use Almanac\Engagements\StageKind;
use Almanac\Records\WordingRefused;
use App\Actions\Office\ListedNames;
use App\Actions\Records\KeptRow;
use App\Background\IndexKind;
use App\Models\Engagement;
use App\Models\EngagementKind;
use App\Models\EngagementRole;
use App\Models\EngagementStage;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps the kinds of what the firm does for others, with their stages and roles. What is in use is retired, never removed. */
final readonly class KeepEngagementKinds
{
    /**
     * @param array{
     *     name: string, plural: string, sign: string, isRetired: bool,
     *     stages: list<array{id: int|null, name: string, meaning: string, mostDays: int|null, isRetired: bool}>,
     *     roles: list<array{
     *         id: int|null, name: string, least: int, most: int|null, isClient: bool, opposes: list<string>, isRetired: bool,
     *     }>,
     * } $input stages and roles in their order; roles oppose each other by name
     *
     * @throws ValidationException with each refusal at its field
     */
    public function save(EngagementKind $kind, array $input): void
    {
        DB::transaction(function () use ($kind, $input): void {
            $problems = new FieldProblems;
            $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
            $plural = $problems->at('plural', fn () => ListedNames::tidy($input['plural']));
            $others = fn (): Builder => EngagementKind::query()->whereKeyNot($kind->id ?? 0);
            if ($others()->where('name', $name)->exists()) {
                $problems->add('name', WordingRefused::taken((string) $name)->getMessage());
            }
            $sign = trim($input['sign']);
            if (preg_match('/^\p{L}{2,6}$/u', $sign) !== 1) {
                $problems->add('sign', 'Use two to six letters, such as PR: one alone begins the numbers of documents.');
            } elseif ($others()->where('sign', $sign)->exists()) {
                $problems->add('sign', EngagementRefused::signTaken($sign)->getMessage());
            }
            $this->stages($input['stages'], $problems);
            $this->roles($input['roles'], $problems);
            $problems->throwIfAny();

            $kind->fill(['name' => $name, 'plural' => $plural, 'sign' => $sign, 'is_retired' => $input['isRetired']]);
            $kind->rank ??= EngagementKind::query()->count();
            $kind->save();
            $this->keepStages($kind, $input['stages'], $problems);
            $isRenamed = $this->keepRoles($kind, $input['roles']);
            $problems->throwIfAny();
            if ($isRenamed) {
                // Nobody waits for thousands of them.
                IndexKind::dispatch($kind->id);
            }
        });
    }

    /** @param  list<array{name: string, meaning: string, mostDays: int|null, isRetired: bool, ...}>  $rows */
    private function stages(array $rows, FieldProblems $problems): void
    {
        foreach ($rows as $at => $row) {
            $problems->at("stages.$at.name", fn () => ListedNames::tidy($row['name']));
            $problems->at("stages.$at.mostDays", fn () => Stage::of(0, $row['name'], StageKind::from($row['meaning']), $row['mostDays']));
        }
        $this->refuseSame('stages', $rows, $problems);
        $used = array_map(fn (array $row) => $row['isRetired'] ? '' : $row['meaning'], $rows);
        if (! in_array(StageKind::Open->value, $used, true) || ! in_array(StageKind::Closed->value, $used, true)) {
            $problems->add('stages', EngagementRefused::withoutOpenStage()->getMessage());
        }
    }

    /** @param  list<array{name: string, least: int, most: int|null, opposes: list<string>, ...}>  $rows */
    private function roles(array $rows, FieldProblems $problems): void
    {
        $names = array_map(fn (array $row) => trim($row['name']), $rows);
        foreach ($rows as $at => $row) {
            $problems->at("roles.$at.name", fn () => ListedNames::tidy($row['name']));
            $problems->at("roles.$at.most", fn () => Role::of(0, $row['name'], $row['least'], $row['most']));
            if (array_diff(array_map(trim(...), $row['opposes']), $names) !== []) {
                $problems->add("roles.$at.opposes", 'Choose from the roles of this list.');
            }
        }
        $this->refuseSame('roles', $rows, $problems);
    }

    /** @param  list<array{name: string, ...}>  $rows */
    private function refuseSame(string $field, array $rows, FieldProblems $problems): void
    {
        $seen = [];
        foreach ($rows as $at => $row) {
            $key = mb_strtolower(trim($row['name']));
            if (isset($seen[$key])) {
                $problems->add("$field.$at.name", WordingRefused::taken(trim($row['name']))->getMessage());
            }
            $seen[$key] = true;
        }
    }

    /** @param  list<array{id: int|null, name: string, meaning: string, mostDays: int|null, isRetired: bool}>  $rows */
    private function keepStages(EngagementKind $kind, array $rows, FieldProblems $problems): void
    {
        $kept = $kind->stages()->get()->keyBy('id');
        $this->remove($kept, $rows, fn (EngagementStage $stage) => DB::table('engagement_moves')->where('stage_id', $stage->id)->exists());
        foreach ($rows as $rank => $row) {
            $stage = KeptRow::of($kept, $row['id'], new EngagementStage(), false);
            $meaning = StageKind::from($row['meaning']);
            $stands = $stage->exists && Engagement::everyOne()->where('stage_id', $stage->id)->exists();
            if ($stands && $stage->meaning !== $meaning) {
                $problems->add("stages.$rank.meaning", 'Something stands in this stage. Move it on first, or add another stage.');
            }
            $stage->fill([
                'kind_id' => $kind->id,
                'name' => ListedNames::tidy($row['name']),
                'meaning' => $meaning,
                'most_days' => $row['mostDays'],
                'rank' => $rank,
                'is_retired' => $row['isRetired'],
            ])->save();
        }
    }

    /**
     * @param list<array{id: int|null, name: string, least: int, most: int|null, isClient: bool, opposes: list<string>, isRetired: bool}> $rows
     *
     * @return bool whether a role is called otherwise from now on
     */
    private function keepRoles(EngagementKind $kind, array $rows): bool
    {
        $kept = $kind->roles()->get()->keyBy('id');
        $this->remove($kept, $rows, fn (EngagementRole $role) => DB::table('engagement_parties')->where('role_id', $role->id)->exists());
        $byName = [];
        $isRenamed = false;
        foreach ($rows as $rank => $row) {
            $role = KeptRow::of($kept, $row['id'], new EngagementRole(), false)->fill([
                'kind_id' => $kind->id,
                'name' => ListedNames::tidy($row['name']),
                'least' => $row['least'],
                'most' => $row['most'],
                'is_client' => $row['isClient'],
                'rank' => $rank,
                'is_retired' => $row['isRetired'],
            ]);
            $isRenamed = $isRenamed || ($role->exists && $role->isDirty('name'));
            $role->save();
            $byName[trim($row['name'])] = $role;
        }
        // Whoever stands against somebody has them against themselves.
        $pairs = [];
        foreach ($rows as $row) {
            foreach ($row['opposes'] as $other) {
                [$one, $two] = [$byName[trim($row['name'])]->id, $byName[trim($other)]->id];
                $pairs["$one $two"] = ['role_id' => $one, 'other_id' => $two];
                $pairs["$two $one"] = ['role_id' => $two, 'other_id' => $one];
            }
        }
        DB::table('engagement_oppositions')->whereIn('role_id', array_column($byName, 'id'))->delete();
        DB::table('engagement_oppositions')->insert(array_values($pairs));

        return $isRenamed;
    }

    /**
     * What is left out goes, or is retired where something has it.
     *
     * @template M of EngagementStage|EngagementRole
     *
     * @param Collection<int, M> $kept
     * @param list<array{id: int|null, ...}> $rows
     * @param \Closure(M): bool $isUsed
     */
    private function remove(Collection $kept, array $rows, \Closure $isUsed): void
    {
        foreach ($kept->except(array_filter(array_column($rows, 'id'))) as $gone) {
            $isUsed($gone) ? $gone->update(['is_retired' => true]) : $gone->delete();
        }
    }
}
