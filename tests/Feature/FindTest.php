<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Finding\IndexParties;
use App\Actions\Finding\TidySearch;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class FindTest extends TestCase
{
    private Party $foundry;

    private Party $silas;

    protected function setUp(): void
    {
        parent::setUp();
        $this->foundry = $this->addCompany('Brass Lantern Foundry', ['legal' => 'B. L. Castings LLC']);
        $this->saveSection($this->foundry, 'addresses', [
            'addresses' => [$this->address(['locality' => 'Keene', 'region' => 'NH', 'postcode' => '03431'])],
        ])->assertOk();
        $this->saveSection($this->foundry, 'reach', [
            'contactPoints' => [$this->contact('phone', '603-555-0163 ext. 4'), $this->contact('email', 'orders@brasslantern.example')],
        ])->assertOk();
        $this->silas = $this->addPerson('Silas', 'Wren', ['companyId' => $this->foundry->id, 'title' => 'Foundry manager']);
        $this->addCompany('Penhallow Observatory');
        $this->addCompany('شركة الفنار');
        $this->addCompany('李明钟表行');
        $this->addCompany('🦉 & Sons');
        $this->addPerson('Regula', 'Aebi-Müller');
    }

    /** @param  list<string>  $reasons */
    #[TestWith(['wren brass', 'Silas Wren', ['name', 'works at Brass Lantern Foundry']])]
    #[TestWith(['brass wren', 'Silas Wren', ['works at Brass Lantern Foundry', 'name']])]
    #[TestWith(['163', 'Brass Lantern Foundry', ['phone (603) 555-0163 ext. 4']])]
    #[TestWith(['603 555-01', 'Brass Lantern Foundry', ['phone (603) 555-0163 ext. 4']])]
    #[TestWith(['+1 603', 'Brass Lantern Foundry', ['phone +1 603-555-0163 ext. 4']])]
    #[TestWith(['1001', 'Brass Lantern Foundry', ['number 1001']])]
    #[TestWith(['orders@', 'Brass Lantern Foundry', ['email orders@brasslantern.example']])]
    #[TestWith(['keene orders', 'Brass Lantern Foundry', ['place Keene NH 03431 United States', 'email orders@brasslantern.example']])]
    #[TestWith(['castings', 'Brass Lantern Foundry', ['legal name B. L. Castings LLC']])]
    #[TestWith(['antern', 'Brass Lantern Foundry', ['name']])]
    #[TestWith(['Pennhalow', 'Penhallow Observatory', ['spelled much like “Penhallow”']])]
    #[TestWith(['observatroy penhalow', 'Penhallow Observatory', ['spelled much like “Observatory”', 'spelled much like “Penhallow”']])]
    #[TestWith(['MULLER', 'Regula Aebi-Müller', ['name']])]
    #[TestWith(['الفنار', 'شركة الفنار', ['name']])]
    #[TestWith(['李明', '李明钟表行', ['name']])]
    #[TestWith(['钟表', '李明钟表行', ['name']])]
    #[TestWith(['🦉', '🦉 & Sons', ['name']])]
    public function test_it_finds_by_whatever_is_known_and_says_why(string $typed, string $name, array $reasons): void
    {
        $this->asAdministrator()->getJson('/api/find?q='.urlencode($typed))->assertOk()
            ->assertJsonPath('typed', $typed)
            ->assertJsonPath('results.0.party.displayName', $name)
            ->assertJsonPath('results.0.reasons', $reasons);
    }

    #[TestWith(['xyzzy'])]
    #[TestWith([''])]
    #[TestWith(['   '])]
    #[TestWith(['"'])]
    #[TestWith(['NEAR(a b)'])]
    #[TestWith(['name:* OR *'])]
    #[TestWith(['%'])]
    #[TestWith(['_'])]
    #[TestWith(['\\'])]
    public function test_it_finds_nothing_without_stumbling(string $typed): void
    {
        $this->asAdministrator()->getJson('/api/find?q='.urlencode($typed))->assertOk()->assertJsonPath('results', []);
    }

    public function test_a_very_long_text_is_no_trouble(): void
    {
        $this->asAdministrator()->getJson('/api/find?q='.str_repeat('wren%20', 800))->assertOk();
    }

    public function test_the_pieces_of_the_search_are_put_together_and_it_finds_as_before(): void
    {
        foreach (range(1, 30) as $n) {
            $this->addCompany("Brass Works $n");
        }
        $pieces = fn (string $index): int => (int) DB::table("{$index}_idx")->distinct()->count('segid');
        $find = fn (): mixed => $this->asAdministrator()->getJson('/api/find?q=brass+works')->assertOk()->json('results.*.party.id');
        [$before, $found] = [$pieces('search_words'), $find()];
        $this->assertGreaterThan(1, $before);
        $this->app->make(TidySearch::class)->handle();
        $this->assertSame([1, 1], [$pieces('search_words'), $pieces('search_letters')]);
        $this->assertSame($found, $find());
        $this->assertNotEmpty($found);
        $this->addCompany('Brass Works again');
        $this->assertCount(1, (array) $this->getJson('/api/find?q=brass+works+again')->json('results'));
    }

    public function test_one_kind_can_be_asked_for(): void
    {
        $names = fn (string $kind) => $this->asAdministrator()
            ->getJson("/api/find?q=brass&kind=$kind")
            ->json('results.*.party.displayName');
        $this->assertSame(['Brass Lantern Foundry'], $names('company'));
        $this->assertSame(['Silas Wren'], $names('person'));
    }

    public function test_a_company_under_a_new_name_brings_its_people_along(): void
    {
        $this->saveSection($this->foundry, 'identity', [
            'name' => 'Verdigris Works',
            'legal' => '',
            'isClient' => false,
            'isVendor' => true,
        ])->assertOk();
        $this->getJson('/api/find?q=wren+verdigris')->assertJsonPath('results.0.party.id', $this->silas->id);
        $this->getJson('/api/find?q=wren+brass')->assertJsonPath('results', []);
    }

    public function test_who_has_left_is_no_longer_found_by_the_company(): void
    {
        $this->saveSection($this->silas, 'positions', ['positions' => []], 1)->assertOk();
        $this->getJson('/api/find?q=wren+brass')->assertJsonPath('results', []);
        $this->getJson('/api/find?q=wren')->assertJsonPath('results.0.party.id', $this->silas->id);
    }

    public function test_the_index_kept_with_every_change_equals_one_made_anew(): void
    {
        mt_srand(20261124);
        $parties = Party::query()->orderBy('id')->get()->all();
        for ($n = 0; $n < 60; $n++) {
            $this->changeSomething($parties[mt_rand(0, count($parties) - 1)], $n);
        }
        $kept = $this->index();
        DB::table('search_words')->delete();
        DB::table('search_letters')->delete();
        DB::table('look_alike_keys')->delete();
        DB::table('record_gaps')->delete();
        DB::table('record_lines')->delete();
        $this->assertNotSame($kept, $this->index());
        $this->app->make(IndexParties::class)->everything();
        $this->assertSame($kept, $this->index());
    }

    private function changeSomething(Party $party, int $n): void
    {
        $record = $this->asAdministrator()->getJson("/api/parties/{$party->id}")->assertOk()->json();
        $others = Party::query()->where('kind', '!=', $party->kind)->orderBy('id')->get()->all();
        $other = $others[mt_rand(0, count($others) - 1)];
        match (mt_rand(0, 3)) {
            0 => $this->saveSection(
                $party,
                'identity',
                ['isClient' => (bool) mt_rand(0, 1), 'isVendor' => false, 'name' => "Name $n", 'given' => "Given $n"] + $record['identity'],
                $record['identity']['version'],
            ),
            1 => $this->saveSection(
                $party,
                'reach',
                ['contactPoints' => [$this->contact('phone', '802-555-01'.str_pad((string) $n, 2, '0', STR_PAD_LEFT))]],
                $record['reach']['version'],
            ),
            2 => $this->saveSection(
                $party,
                'addresses',
                ['addresses' => [$this->address(['locality' => "Town $n"])]],
                $record['addresses']['version'],
            ),
            3 => $this->saveSection(
                $party,
                'positions',
                ['positions' => [$this->position($other, ['title' => "Title $n"])]],
                $record['positions']['version'],
            ),
        };
    }

    /** @return array<mixed> */
    private function index(): array
    {
        return json_decode((string) json_encode([
            DB::table('search_words')->orderBy('rowid')->get(['rowid', '*']),
            DB::table('search_letters')->orderBy('rowid')->get(['rowid', '*']),
            DB::table('look_alike_keys')->orderBy('party_id')->orderBy('key')->get(),
            DB::table('record_gaps')->orderBy('party_id')->get(),
            DB::table('record_lines')->orderBy('party_id')->get(),
        ]), true);
    }
}
