<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use App\Actions\Engagements\EngagementSections;
use App\Facts\Records\SectionVersions;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\SubjectModel;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class PastEngagementsTest extends TestCase
{
    use BeginsEngagements;
    use ReadsPastDays;

    private Party $church;

    private Party $sexton;

    private Engagement $clock;

    private Engagement $bells;

    protected function setUp(): void
    {
        parent::setUp();
        config(['almanac.today' => '2026-03-02']);
        $this->asAdministrator();
        $this->church = $this->addCompany('St. Alban’s');
        $this->sexton = $this->addPerson('Silas', 'Wren');
        $this->saveSection($this->church, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->clock = $this->begin('case', 'Under review', 'Tower clock');
        $this->bells = $this->begin('case', 'Under review', 'Bells');
    }

    public function test_every_past_day_reads_back_equal_to_a_copy_taken_on_that_day(): void
    {
        mt_srand(1204);
        $copies = [];
        for ($step = 0; $step < 45; $step++) {
            $day = Day::fromIso('2026-03-02')->plusDays(intdiv($step, 3));
            config(['almanac.today' => $day->toIso()]);
            $this->change();
            $copies[$day->toIso()] = $this->told();
        }
        $this->assertGreaterThan(10, count(array_unique(array_map(serialize(...), $copies))), 'the days differ');
        foreach ($copies as $day => $copy) {
            $this->assertSame($copy, $this->asOf($day), $day);
        }
    }

    public function test_two_days_stand_side_by_side_with_the_stage_of_each(): void
    {
        config(['almanac.today' => '2026-03-10']);
        $this->putJson("/api/engagements/{$this->clock->id}/head", $this->headed('Tower clock and dial', ['version' => 0]))->assertOk();
        $this->move($this->clock, 'With the insurer')->assertOk();
        config(['almanac.today' => '2026-04-01']);
        $then = $this->getJson("/api/engagements/{$this->clock->id}/as-of?day=3/9/2026")->assertOk();
        $this->assertSame('CA2026-001 Tower clock', $then->json('name'));
        $this->assertSame(['9 Mar 2026', '1 Apr 2026', true], [$then->json('day'), $then->json('other'), $then->json('canBringBack')]);
        $this->assertSame(['2 Mar 2026', '10 Mar 2026'], [$then->json('savedBefore'), $then->json('savedAfter')]);
        $sections = array_column($then->json('sections'), null, 'section');
        $this->assertSame('Under review since 2 Mar 2026', $sections['stage']['facts'][0]['then']);
        $this->assertSame('With the insurer since 10 Mar 2026', $sections['stage']['facts'][0]['other']);
        $this->assertSame(['Tower clock', 'Tower clock and dial', true], [
            $sections['engagement']['facts'][0]['then'], $sections['engagement']['facts'][0]['other'],
            $sections['engagement']['isDifferent'],
        ]);
        $this->assertFalse($this->getJson("/api/engagements/{$this->clock->id}/as-of?day=3/9/2026&other=3/9/2026")->json('canBringBack'));

        $this->postJson("/api/engagements/{$this->clock->id}/sections/engagement/bring-back", ['day' => '9 Mar 2026', 'version' => 0])
            ->assertConflict();
        $this->postJson("/api/engagements/{$this->clock->id}/sections/engagement/bring-back", ['day' => '9 Mar 2026', 'version' => 1])
            ->assertOk()->assertJsonPath('row.title', 'Tower clock');
        $this->postJson("/api/engagements/{$this->clock->id}/sections/engagement/undo", ['version' => 2])
            ->assertOk()->assertJsonPath('row.title', 'Tower clock and dial');
        foreach (['stage', 'reach', 'nonsense'] as $none) {
            $this->postJson("/api/engagements/{$this->clock->id}/sections/$none/bring-back", ['day' => '9 Mar 2026', 'version' => 0])
                ->assertNotFound();
        }
    }

    public function test_a_link_is_kept_and_taken_back_at_both_ends(): void
    {
        $this->link($this->clock, $this->bells, 0)->assertOk();
        $this->assertCount(1, $this->getJson("/api/engagements/{$this->bells->id}")->json('links'));
        $this->link($this->bells, null, 0)->assertConflict();
        $this->postJson("/api/engagements/{$this->clock->id}/sections/links/undo", ['version' => 1])->assertOk();
        $this->assertCount(0, $this->getJson("/api/engagements/{$this->bells->id}")->json('links'));
    }

    private function change(): void
    {
        $engagement = mt_rand(0, 1) === 0 ? $this->clock : $this->bells;
        $other = $engagement->is($this->clock) ? $this->bells : $this->clock;
        match (mt_rand(0, 6)) {
            0 => $this->putJson("/api/engagements/{$engagement->id}/head", $this->headed('Title '.mt_rand(1, 5), [
                'agreed' => mt_rand(0, 1) === 1 ? (string) mt_rand(100, 999) : '',
                'terms' => ['', 'net 45', 'EOM'][mt_rand(0, 2)], 'version' => $this->version($engagement, 'engagement'),
            ]))->assertOk(),
            1,
            2 => $this->putJson("/api/engagements/{$engagement->id}/parties", ['version' => $this->version($engagement, 'parties'), 'parties' => [
                $this->inRole($this->sexton, $this->roleId('case', 'witness'), ['note' => 'note '.mt_rand(1, 3)]),
                ...mt_rand(0, 1) === 1 ? [$this->inRole($this->church, $this->roleId('case', 'insured'))] : [],
            ]])->assertOk(),
            3 => $this->putJson("/api/engagements/{$engagement->id}/site", [
                'version' => $this->version($engagement, 'site'), 'country' => '', 'lines' => '', 'locality' => '',
                'region' => '', 'postcode' => '',
                'note' => 'note '.mt_rand(1, 3),
                'addressId' => mt_rand(0, 2) > 0 ? $this->church->addressUses()->value('address_id') : null,
            ])->assertOk(),
            4 => $this->link($engagement, mt_rand(0, 1) === 1 ? $other : null, $this->version($engagement, 'links')),
            5 => $this->saveSection(
                $this->sexton, 'identity',
                ['given' => 'Silas '.mt_rand(1, 9), 'family' => 'Wren', 'isClient' => false, 'isVendor' => false],
                $this->version($this->sexton, 'identity'),
            )->assertOk(),
            6 => $this->saveSection($this->church, 'addresses', ['addresses' => [$this->address([
                'id' => $this->church->addressUses()->value('id'), 'lines' => mt_rand(1, 99).' Green Street',
            ])]], $this->version($this->church, 'addresses'))->assertOk(),
        };
    }

    private function version(SubjectModel $subject, string $section): int
    {
        return SectionVersions::of($subject, SectionName::from($section));
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function link(Engagement $engagement, ?Engagement $other, int $version): TestResponse
    {
        return $this->putJson("/api/engagements/{$engagement->id}/links", [
            'version' => $version,
            'links' => $other === null ? [] : [['id' => null, 'engagementId' => $other->id, 'kind' => 'same-loss']],
        ]);
    }

    /** @return array<string, string> what they say now */
    private function told(): array
    {
        $told = array_merge(...array_map(
            fn (Engagement $one) => $this->toldNow(app(EngagementSections::class)->all(
                Engagement::query()->whereKey($one->id)->firstOrFail(),
            )),
            [$this->clock, $this->bells],
        ));
        ksort($told);

        return $told;
    }

    /** @return array<string, string> the same, as they are read as of a day */
    private function asOf(string $day): array
    {
        $told = array_merge(...array_map(
            fn (Engagement $one) => $this->toldOn('engagements', $one->id, $day),
            [$this->clock, $this->bells],
        ));
        ksort($told);

        // The stage is told by its moves.
        return array_filter($told, fn (string $key) => ! str_contains($key, ' stage '), ARRAY_FILTER_USE_KEY);
    }
}
