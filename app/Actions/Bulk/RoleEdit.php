<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkRefused;
use Almanac\Records\SectionName;
use App\Actions\Engagements\EngagementSections;
use App\Actions\Engagements\SaveEngagement;
use App\Facts\Records\SectionVersions;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\Party;
use App\Models\User;

/** Puts each record into a case or a project, in a role. */
final readonly class RoleEdit implements BulkAct
{
    public function __construct(
        private Engagement $engagement,
        private EngagementRole $role,
        private SaveEngagement $save,
        private EngagementSections $sections,
    ) {
    }

    public function title(): string
    {
        return "Add to {$this->engagement->shownTitle()} as {$this->role->name}";
    }

    public function isSo(): null
    {
        return null;
    }

    public function isForUsed(): bool
    {
        return true;
    }

    public function apply(Party $party, User $by): ?string
    {
        $party->assertInUse();
        if ($this->rowOf($party) !== null) {
            return null;
        }
        $this->edit($by, fn (array $rows) => [...$rows, [
            'id' => null, 'partyId' => $party->id, 'roleId' => $this->role->id, 'viaId' => null, 'contactId' => null,
            'since' => '', 'until' => '', 'share' => '', 'isMailed' => false, 'note' => '',
        ]]);

        return (string) ($this->rowOf($party)->id ?? '');
    }

    public function takeBack(?Party $party, string $wayBack, User $by): void
    {
        $row = EngagementParty::query()->find((int) $wayBack);
        if (
            $party === null
            || ! $row instanceof EngagementParty
            || $row->party_id !== $party->id
            || $row->note !== ''
            || $row->share !== null
        ) {
            throw BulkRefused::changedSince();
        }
        $this->edit($by, fn (array $rows) => array_values(array_filter($rows, fn (array $one) => $one['id'] !== $row->id)));
    }

    private function rowOf(Party $party): ?EngagementParty
    {
        return EngagementParty::query()->where([
            'engagement_id' => $this->engagement->id, 'party_id' => $party->id, 'role_id' => $this->role->id,
        ])
            ->first();
    }

    /** @param  \Closure(list<array<string, mixed>>): list<array<string, mixed>>  $edit */
    private function edit(User $by, \Closure $edit): void
    {
        $engagement = Engagement::everyOne()->findOrFail($this->engagement->id);
        $section = $this->sections->of(SectionName::Parties, $engagement) ?? throw new \LogicException('A case has parties.');
        $section->reload();
        /** @var array{parties: list<array<string, mixed>>} $state */
        $state = $section->state();
        $version = SectionVersions::of($engagement, SectionName::Parties);
        $this->save->handle(SectionName::Parties, $engagement, ['parties' => $edit($state['parties'])], $version, $by);
    }
}
