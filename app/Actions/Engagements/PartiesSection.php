<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\EngagementRefused;
use Almanac\Money\Percent;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\KeptRow;
use App\Actions\Records\Past;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\Party;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;

/** Who is concerned, as what, through whom, since and until when, and who pays. */
final readonly class PartiesSection implements EngagementSection
{
    public function __construct(private TypedDates $dates)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Parties;
    }

    public function reads(): array
    {
        return ['parties.party', 'parties.role', 'parties.via', 'parties.contact'];
    }

    public function facts(Engagement $engagement): array
    {
        $facts = [];
        foreach ($engagement->parties as $row) {
            $facts["party:$row->id"] = new LoggedFact($row->role->name, implode(', ', array_filter([
                $row->party->display_name,
                $row->via === null ? '' : "through {$row->via->display_name}",
                $row->contact === null ? '' : "ask for {$row->contact->display_name}",
                $row->share === null ? '' : "pays {$row->percent()?->toText()}",
                $row->is_mailed ? 'letters go there' : '',
                $row->note,
                $row->period()->toText(),
            ])));
        }

        return $facts;
    }

    public function state(Engagement $engagement): array
    {
        return ['parties' => array_values($engagement->parties->map(fn (EngagementParty $row) => [
            'id' => $row->id,
            'partyId' => $row->party_id,
            'roleId' => $row->role_id,
            'viaId' => $row->via_id,
            'contactId' => $row->contact_id,
            'since' => $row->since?->toIso() ?? '',
            'until' => $row->until?->toIso() ?? '',
            'share' => $row->share ?? '',
            'isMailed' => $row->is_mailed,
            'note' => $row->note,
        ])->all())];
    }

    public function recall(Engagement $then, array $state, Past $past): void
    {
        /**
         * @var list<array{
         *     id: int, partyId: int, roleId: int, viaId: int|null, contactId: int|null, since: string, until: string,
         *     share: string, isMailed: bool, note: string,
         * }> $rows
         */
        $rows = $state['parties'];
        $roles = EngagementRole::query()->where('kind_id', $then->kind_id)->get()->keyBy('id');
        $then->setRelation('parties', new EloquentCollection(array_map(fn (array $row): EngagementParty => (new EngagementParty([
            'id' => $row['id'],
            'party_id' => $row['partyId'],
            'role_id' => $row['roleId'],
            'share' => $row['share'] === '' ? null : $row['share'],
            'is_mailed' => $row['isMailed'],
            'note' => $row['note'],
            ...Past::period($row),
        ]))->setRelations([
            'party' => $past->party($row['partyId']),
            'role' => $roles->get($row['roleId']),
            'via' => $row['viaId'] === null ? null : $past->party($row['viaId']),
            'contact' => $row['contactId'] === null ? null : $past->party($row['contactId']),
        ]), $rows)));
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function write(Engagement $engagement, array $input): void
    {
        /**
         * @var list<array{
         *     id: int|null, partyId: int, roleId: int, viaId: int|null, contactId: int|null, since: string, until: string,
         *     share: string, isMailed: bool, note: string,
         * }> $rows
         */
        $rows = $input['parties'];
        $kept = $engagement->parties()->get()->keyBy('id');
        $roles = EngagementRole::query()->where('kind_id', $engagement->kind_id)->get()->keyBy('id');
        $problems = new FieldProblems;
        $written = [];
        foreach ($rows as $rank => $row) {
            $field = "parties.$rank";
            $one = KeptRow::of($kept, $row['id'], new EngagementParty(), isset($input['isRestored']));
            $role = $roles->get($row['roleId']);
            if ($role === null || ($role->is_retired && $one->role_id !== $role->id)) {
                $problems->add("$field.roleId", 'Choose the role from the list.');
            }
            if (Party::query()->whereKey($row['partyId'])->doesntExist()) {
                $problems->add("$field.partyId", 'Choose who it is.');
            }
            foreach (['viaId' => 'Choose the company from the list.', 'contactId' => 'Choose the person from the list.'] as $key => $refusal) {
                if ($row[$key] !== null && ($row[$key] === $row['partyId'] || Party::query()->whereKey($row[$key])->doesntExist())) {
                    $problems->add("$field.$key", $refusal);
                }
            }
            $period = $this->dates->read($row['since'], $row['until'], $field, $problems);
            $share = trim($row['share']) === '' ? null : $problems->at("$field.share", fn () => Percent::of($row['share']));
            $written[] = $one->fill([
                'engagement_id' => $engagement->id,
                'party_id' => $row['partyId'],
                'role_id' => $row['roleId'],
                'via_id' => $row['viaId'],
                'contact_id' => $row['contactId'],
                'since' => $period?->since,
                'until' => $period?->until,
                'share' => $share === null ? null : (string) $share,
                'is_mailed' => $row['isMailed'],
                'note' => trim($row['note']),
                'rank' => $rank,
            ]);
        }
        // What is wrong in one line is said before what is wrong between them.
        $problems->throwIfAny();
        $this->refuseTwice($written, $problems);
        $this->refuseTooMany($written, $roles, $problems);
        $this->refuseOtherShares($written, $problems);
        $problems->throwIfAny();

        EngagementParty::query()->whereKey(array_diff($kept->keys()->all(), array_column($rows, 'id')))->delete();
        foreach ($written as $one) {
            $one->save();
        }
    }

    /** @param  list<EngagementParty>  $rows */
    private function refuseTwice(array $rows, FieldProblems $problems): void
    {
        foreach ($rows as $at => $one) {
            foreach (array_slice($rows, 0, $at) as $other) {
                if (
                    $one->party_id === $other->party_id
                    && $one->role_id === $other->role_id
                    && $one->period()->overlaps($other->period())
                ) {
                    $problems->add("parties.$at.partyId", EngagementRefused::inRoleTwice()->getMessage());
                }
            }
        }
    }

    /**
     * @param list<EngagementParty> $rows
     * @param Collection<int, EngagementRole> $roles
     */
    private function refuseTooMany(array $rows, Collection $roles, FieldProblems $problems): void
    {
        $today = $this->dates->today();
        foreach ($roles as $role) {
            $have = array_keys(array_filter($rows, fn (EngagementParty $one) => $one->role_id === $role->id && $one->isNow($today)));
            if ($role->most !== null && count($have) > $role->most) {
                $problems->add('parties.'.$have[count($have) - 1].'.roleId', $role->role()->todo(count($have)));
            }
        }
    }

    /** @param  list<EngagementParty>  $rows */
    private function refuseOtherShares(array $rows, FieldProblems $problems): void
    {
        $today = $this->dates->today();
        $paying = array_filter($rows, fn (EngagementParty $one) => $one->paysNow($today));
        if ($paying !== []) {
            $problems->at('parties.'.array_key_last($paying).'.share', fn () => EngagementParty::shares($paying));
        }
    }
}
