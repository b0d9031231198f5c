<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class PositionsTest extends TestCase
{
    public function test_one_person_holds_positions_at_several_companies(): void
    {
        $insurer = $this->addCompany('Harborlight Mutual');
        $observatory = $this->addCompany('Penhallow Observatory');
        $nadia = $this->addPerson('Nadia', 'Petrov-Ames');
        $this->saveSection($nadia, 'positions', [
            'positions' => [
                $this->position($insurer, [
                    'title' => 'Claims adjuster',
                    'department' => 'Fine instruments',
                    'duties' => ['site'],
                    'isPrimary' => true,
                    'since' => '1 Mar 2025',
                ]),
                $this->position($observatory, ['title' => 'Trustee', 'since' => '2022-10-16', 'until' => '30 Sep 2025']),
            ],
        ])
            ->assertOk()
            ->assertJsonPath('positions.positions.*.title', ['Claims adjuster', 'Trustee'])
            ->assertJsonPath('positions.positions.*.period.isInForce', [true, false])
            ->assertJsonPath('positions.positions.0.period.sinceText', '1 Mar 2025');
        $this->getJson("/api/parties/{$observatory->id}")
            ->assertJsonPath('positions.positions.0.party.displayName', 'Nadia Petrov-Ames')
            ->assertJsonPath('positions.positions.0.period.text', '16 Oct 2022 to 30 Sep 2025')
            ->assertJsonPath('positions.version', 1);
        $this->assertSame(
            'Position:  -> Nadia Petrov-Ames, Trustee, primary, 16 Oct 2022 to 30 Sep 2025',
            $this->changesOf($observatory)[0],
        );
    }

    public function test_both_ends_log_a_change_and_refuse_an_older_version(): void
    {
        $company = $this->addCompany('Brass');
        $silas = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $id = $this->getJson("/api/parties/{$company->id}")->json('positions.positions.0.id');
        $this->saveSection(
            $company,
            'positions',
            ['positions' => [$this->position($silas, ['id' => $id, 'title' => 'Manager', 'isPrimary' => true])]],
            1,
        )->assertOk();
        $this->assertSame('Position: Brass, primary -> Brass, Manager, primary', $this->changesOf($silas)[0]);
        $this->saveSection($silas, 'positions', ['positions' => []], 1)
            ->assertConflict()
            ->assertJsonPath('differences.0.theirs', 'Brass, Manager, primary');

        $this->saveSection($company, 'positions', ['positions' => []], 2)->assertOk();
        $this->assertSame('Position: Brass, Manager, primary -> ', $this->changesOf($silas)[0], 'a removal is told at the other end too');
    }

    public function test_a_second_tie_does_not_repeat_what_the_other_end_had_before(): void
    {
        $brass = $this->addCompany('Brass');
        $pine = $this->addCompany('Pine');
        $silas = $this->addPerson('Silas', 'Wren', ['companyId' => $brass->id]);
        $this->saveSection($pine, 'positions', ['positions' => [$this->position($silas)]])->assertOk();
        $this->assertSame(
            ['Position:  -> Pine, primary', 'Record:  -> added as Silas Wren', 'Position:  -> Brass, primary'],
            $this->changesOf($silas),
        );
    }

    public function test_one_primary_person_at_each_company(): void
    {
        $company = $this->addCompany('Brass');
        $silas = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $ada = $this->addPerson('Ada', 'Finch', ['companyId' => $company->id]);
        $row = $this->getJson("/api/parties/{$ada->id}")
            ->assertJsonPath('positions.positions.0.isPrimary', false)
            ->json('positions.positions.0');
        $this->saveSection($ada, 'positions', ['positions' => [$this->position($company, ['id' => $row['id'], 'isPrimary' => true])]], 1)
            ->assertOk()->assertJsonPath('positions.positions.0.isPrimary', true);
        $this->getJson("/api/parties/{$silas->id}")->assertJsonPath('positions.positions.0.isPrimary', false);
    }

    public function test_only_people_work_and_only_at_companies(): void
    {
        $one = $this->addCompany('One');
        $two = $this->addCompany('Two');
        $silas = $this->addPerson('Silas', 'Wren');
        $this->saveSection($one, 'positions', ['positions' => [$this->position($two)]])
            ->assertUnprocessable()->assertJsonPath('errors.0', ['field' => 'positions.0.partyId', 'message' => 'Choose the person.']);
        $this->saveSection($silas, 'positions', ['positions' => [$this->position($silas)]])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Choose the company.');
        $this->saveSection($silas, 'positions', [
            'positions' => [$this->position($one, ['since' => 'whenever', 'duties' => ['tea']])],
        ])->assertUnprocessable();
    }
}
