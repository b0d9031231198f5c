<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class PeopleTest extends TestCase
{
    private const SILAS = [
        'prefix' => 'Mr.', 'given' => 'Silas', 'middle' => 'A.', 'family' => 'Wren', 'suffix' => 'III', 'preferred' => 'Si',
        'pronouns' => 'he/him', 'postNominals' => 'CPA', 'isClient' => false, 'isVendor' => false,
        'isInformal' => false, 'isDeceased' => false, 'deceasedOn' => '',
    ];

    public function test_how_a_person_is_written_to_follows_from_the_parts(): void
    {
        $silas = $this->addPerson('Silas', 'Wren');
        $this->saveSection($silas, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($silas, 'identity', self::SILAS)->assertOk()
            ->assertJsonPath('letter.salutation', 'Dear Mr. Wren:')
            ->assertJsonPath('letter.envelope.0', 'Mr. Silas A. Wren III, CPA')
            ->assertJsonPath('identity.pronouns', 'he/him');
        $this->saveSection($silas, 'identity', ['isInformal' => true] + self::SILAS, 1)
            ->assertOk()
            ->assertJsonPath('letter.salutation', 'Dear Si:');
        $this->assertSame('On first-name terms: no -> yes', $this->changesOf($silas)[0]);
    }

    public function test_somebody_who_has_died_is_never_greeted(): void
    {
        $silas = $this->addPerson('Silas', 'Wren');
        $this->saveSection($silas, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($silas, 'identity', ['deceasedOn' => '1 Nov 2026'] + self::SILAS)->assertOk()
            ->assertJsonPath('identity.isDeceased', true)
            ->assertJsonPath('identity.deceasedOn', '1 Nov 2026')
            ->assertJsonPath('letter.salutation', null)
            ->assertJsonPath('letter.envelope.0', 'Estate of Silas A. Wren III');
        $this->assertContains('Deceased: no -> on 1 Nov 2026', $this->changesOf($silas));
        $this->saveSection($silas, 'identity', ['isDeceased' => true, 'deceasedOn' => '+3'] + self::SILAS, 1)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'deceasedOn', 'message' => 'That day is still to come. Check the year.']);
    }

    public function test_a_name_typed_in_one_run_comes_back_with_what_is_doubtful(): void
    {
        $this->asAdministrator()->getJson('/api/names?typed='.urlencode('Ms. Juana Garcia Lopez, CPA'))->assertOk()
            ->assertJson(['prefix' => 'Ms.', 'given' => 'Juana', 'middle' => 'Garcia', 'family' => 'Lopez', 'postNominals' => 'CPA'])
            ->assertJsonPath('doubtful', ['middle', 'family'])
            ->assertJsonPath('suggestedPronouns', 'she/her');
        $this->getJson('/api/names?typed='.str_repeat('x', 300))->assertUnprocessable()->assertJsonPath('errors.0.field', 'typed');
    }
}
