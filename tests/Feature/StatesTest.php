<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Calendar\Day;
use Almanac\Names\TogetherAs;
use App\Actions\Records\Section;
use App\Actions\Records\Sections;
use App\Models\Party;
use App\Models\SectionState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class StatesTest extends TestCase
{
    use ReadsPastDays;

    /** @var list<Party> */
    private array $parties;

    protected function setUp(): void
    {
        parent::setUp();
        $brass = $this->addCompany('Brass Lantern Foundry', ['isVendor' => true]);
        $this->parties = [
            $brass,
            $this->addCompany('Penhallow'),
            $this->addPerson('Silas', 'Wren', ['companyId' => $brass->id]),
            $this->addPerson('Ada', 'Finch'),
        ];
        $this->postJson('/api/sheets', [
            'name' => 'Site',
            'partyKind' => null,
            'type' => '',
            'isRetired' => false,
            'fields' => [
                [
                    'id' => null,
                    'name' => 'Safe',
                    'kind' => 'secret',
                    'options' => [],
                    'help' => '',
                    'requiredFor' => null,
                    'isRetired' => false,
                ],
                [
                    'id' => null,
                    'name' => 'Gate',
                    'kind' => 'text',
                    'options' => [],
                    'help' => '',
                    'requiredFor' => null,
                    'isRetired' => false,
                ],
            ],
        ])->assertCreated();
    }

    public function test_states_replayed_to_any_past_moment_equal_a_copy_taken_then(): void
    {
        mt_srand(20261126);
        $copies = [];
        for ($step = 0; $step < 60; $step++) {
            $this->change();
            $copies[(int) SectionState::query()->max('id')] = $this->copy();
        }
        $this->assertGreaterThan(25, count($copies), 'the steps changed something');
        foreach ($copies as $moment => $copy) {
            $this->assertSame($copy, $this->replayed($moment), "after state $moment");
        }
    }

    public function test_every_past_day_reads_back_equal_to_a_copy_taken_on_that_day(): void
    {
        mt_srand(1203);
        $copies = [];
        for ($step = 0; $step < 60; $step++) {
            $day = Day::fromIso('2026-11-24')->plusDays(intdiv($step, 3));
            config(['almanac.today' => $day->toIso()]);
            $this->change();
            $copies[$day->toIso()] = $this->told();
        }
        $this->assertGreaterThan(15, count(array_unique(array_map(serialize(...), $copies))), 'the days differ');
        foreach ($copies as $day => $copy) {
            $this->assertSame($copy, $this->asOf($day), $day);
        }
    }

    public function test_undoing_puts_everything_back_as_it_was_with_its_links(): void
    {
        mt_srand(11);
        $undone = 0;
        for ($step = 0; $step < 60; $step++) {
            $before = $this->copy();
            $rows = $this->rows();
            [$party, $section] = $this->change();
            $version = (int) DB::table('section_versions')
                ->where(['subject_id' => $party->id, 'section' => $section])
                ->value('version');
            $saved = SectionState::query()
                ->where(['subject_id' => $party->id, 'section' => $section, 'version' => $version])
                ->whereNull('cause_id')
                ->first();
            if ($saved !== null && $this->copy() !== $before && mt_rand(0, 2) > 0) {
                $this->postJson("/api/parties/{$party->id}/sections/$section/undo", ['version' => $version])->assertOk();
                $this->assertSame($before, $this->copy(), "step $step, $section");
                $this->assertSame($rows, $this->rows(), "step $step, $section: the same rows");
                $undone++;
            }
        }
        $this->assertGreaterThan(15, $undone);
    }

    public function test_what_was_saved_since_is_not_undone(): void
    {
        [$brass, $penhallow] = $this->parties;
        $point = $this->saveSection($brass, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0142')]])
            ->assertOk()
            ->json('reach.contactPoints.0');
        $this->saveSection($penhallow, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0142', ['sameAsId' => $point['id']])],
        ])->assertOk();
        $this->saveSection(
            $brass,
            'reach',
            ['contactPoints' => [$this->contact('phone', '802-555-0199', ['id' => $point['id']])]],
            1,
        )->assertOk();
        $this->assertSame('+18025550199', $penhallow->contactPoints()->sole()->value);
        $this->saveSection($penhallow, 'reach', ['contactPoints' => []], 2)->assertOk();
        $this->postJson("/api/parties/{$brass->id}/sections/reach/undo", ['version' => 2])->assertConflict();
        $this->assertSame('+18025550199', $brass->contactPoints()->sole()->value);
        // Nor what another's save has changed here: it is taken back there.
        $this->postJson("/api/parties/{$penhallow->id}/sections/reach/undo", ['version' => 2])->assertConflict();
        $this->postJson("/api/parties/{$brass->id}/sections/nonsense/undo", ['version' => 2])->assertNotFound();
        $this->postJson("/api/parties/{$brass->id}/sections/bank/undo", ['version' => 1])->assertConflict();
        foreach (['x', null, 0, 1.5, 9e99, []] as $version) {
            $this->postJson("/api/parties/{$brass->id}/sections/reach/undo", ['version' => $version])->assertUnprocessable();
        }
    }

    public function test_a_private_state_is_encrypted_and_can_be_undone_by_who_may_not_see_it(): void
    {
        $silas = $this->parties[2];
        $identity = ['given' => 'Silas', 'family' => 'Wren', 'isClient' => false, 'isVendor' => false];
        $this->saveSection($silas, 'identity', $identity + ['birthDate' => '1971-05-02'])->assertOk();
        $this->saveSection($silas, 'identity', $identity + ['birthDate' => ''], 1)->assertOk();
        $this->saveSection($silas, 'tax-numbers', [
            'taxNumbers' => [['id' => null, 'kind' => 'EIN', 'country' => '', 'value' => '91-1144442']],
        ])->assertOk();
        $this->saveSection($silas, 'tax-numbers', ['taxNumbers' => []], 1)->assertOk();
        $this->saveSection($silas, 'details', [
            'values' => [['fieldId' => 1, 'value' => '4-8-15'], ['fieldId' => 2, 'value' => 'north']],
        ])->assertOk();
        $kept = (string) json_encode(DB::table('section_states')->get());
        foreach (['1971', '1144442', '4-8-15'] as $private) {
            $this->assertStringNotContainsString($private, $kept);
        }
        $this->postJson("/api/parties/{$silas->id}/sections/identity/undo", ['version' => 2])
            ->assertOk()
            ->assertJsonPath('identity.hasBirthDate', true);
        $this->postJson("/api/parties/{$silas->id}/sections/tax-numbers/undo", ['version' => 2])
            ->assertOk()
            ->assertJsonPath('taxNumbers.numbers.0.masked', '•••• 4442');
        $this->assertSame('1971-05-02', $silas->refresh()->born_on);
        $this->assertSame(['91-1144442'], $silas->taxNumbers()->get()->map(fn ($number) => $number->number()->display())->all());
    }

    public function test_documents_follow_with_the_same_request_and_follow_back(): void
    {
        $client = $this->parties[1];
        $invoice = $this->issued($client, 'invoice', '100');
        $identity = fn (string $name) => [
            'name' => $name,
            'isClient' => true,
            'isVendor' => false,
            'follow' => ['documentIds' => [$invoice->id], 'withTerms' => false],
        ];
        $this->saveSection($client, 'identity', $identity('Penhallow & Daughters'))->assertOk();
        $this->assertSame('Penhallow & Daughters', $invoice->refresh()->copy['name']);
        $this->postJson("/api/parties/{$client->id}/sections/identity/undo", [
            'version' => 1,
            'follow' => ['documentIds' => [$invoice->id], 'withTerms' => false],
        ])->assertOk();
        $this->assertSame('Penhallow', $invoice->refresh()->copy['name']);
        $this->saveSection(
            $client,
            'identity',
            ['follow' => ['documentIds' => [], 'withTerms' => false]] + $identity('Nobody follows'),
            2,
        )->assertOk();
        $this->assertStringNotContainsString('Nobody', $invoice->refresh()->copy['name']);
        foreach (
            [
                ['documentIds' => 'x', 'withTerms' => false], ['documentIds' => [[]], 'withTerms' => false],
                ['documentIds' => []], 'x', 7,
            ] as $follow
        ) {
            $this->saveSection($client, 'identity', ['follow' => $follow] + $identity('Other'), 3)->assertUnprocessable();
        }
    }

    public function test_what_goes_with_another_record_or_a_file_is_kept_as_a_state_too(): void
    {
        [$brass, $penhallow] = $this->parties;
        $point = $this->saveSection($penhallow, 'reach', ['contactPoints' => [$this->contact('email', 'a@b.example')]])
            ->assertOk()
            ->json('reach.contactPoints.0.id');
        $this->saveSection($brass, 'reach', [
            'contactPoints' => [$this->contact('email', 'a@b.example', ['sameAsId' => $point])],
        ])->assertOk();
        $this->deleteJson("/api/parties/{$penhallow->id}")->assertNoContent();
        $this->assertStringContainsString('same as Penhallow -> a@b.example', $this->changesOf($brass)[0]);
        $this->parties = [$brass];
        $this->assertSame($this->copy(), $this->replayed(PHP_INT_MAX));
    }

    /** @return array{Party, string} whose section was saved, and which */
    private function change(): array
    {
        $party = $this->parties[mt_rand(0, 3)];
        $other = $this->parties[mt_rand(0, 3)];
        $section = [
            'identity',
            'reach',
            'reach',
            'addresses',
            'addresses',
            'positions',
            'relations',
            'relations',
            'classification',
            'details',
            'tax-numbers',
            'client-terms',
        ][mt_rand(0, 11)];
        $version = (int) DB::table('section_versions')
            ->where(['subject_id' => $party->id, 'section' => $section])
            ->value('version');
        $input = match ($section) {
            'identity' => [
                'given' => 'Given '.mt_rand(1, 9),
                'family' => 'Wren',
                'name' => 'Name '.mt_rand(1, 9),
                'payee' => 'Payee '.mt_rand(1, 2),
                'birthDate' => mt_rand(0, 1) === 1 ? '1980-01-0'.mt_rand(1, 9) : null,
                'isClient' => true,
                'isVendor' => $party->is_vendor,
            ],
            'reach' => ['contactPoints' => $this->someOf($party, 'reach', 'contactPoints', fn () => $this->someContact($party, $other))],
            'addresses' => ['addresses' => $this->someOf($party, 'addresses', 'addresses', fn () => $this->someAddress($party, $other))],
            'positions' => [
                'positions' => $party->kind === $other->kind
                        ? $this->someOf($party, 'positions', 'positions', null)
                        : $this->someOf(
                            $party,
                            'positions',
                            'positions',
                            fn () => $this->position($other, ['title' => 'T'.mt_rand(1, 5), 'isPrimary' => mt_rand(0, 1) === 1]),
                        ),
            ],
            'relations' => [
                'relations' => $party->is($other)
                    ? []
                    : $this->someOf(
                        $party,
                        'relations',
                        'relations',
                        fn () => [
                            'id' => null,
                            'partyId' => $other->id,
                            'kind' => 'referred by',
                            'together' => TogetherAs::Alone->value,
                            'since' => '',
                            'until' => '',
                            ...[[], ['address' => 'theirs'], ['phone' => 'ours']][mt_rand(0, 2)],
                        ],
                    ),
            ],
            'classification' => [
                'types' => [],
                'tags' => array_slice(['slow', 'loud', 'new'], 0, mt_rand(0, 3)),
                'ownerId' => null,
                'accountManagerId' => mt_rand(0, 1) === 1 ? 1 : null,
                'buyerId' => null,
                'source' => '',
                'language' => 'en',
                'grade' => mt_rand(1, 5),
                'codes' => $this->someOf(
                    $party,
                    'classification',
                    'codes',
                    fn () => ['id' => null, 'system' => 'theirs', 'value' => (string) mt_rand(1, 99)],
                ),
            ],
            'details' => [
                'values' => [
                    ['fieldId' => 1, 'value' => [null, '', 'secret '.mt_rand(1, 9)][mt_rand(0, 2)]],
                    ['fieldId' => 2, 'value' => 'gate '.mt_rand(1, 3)],
                ],
            ],
            'tax-numbers' => ['taxNumbers' => [['id' => null, 'kind' => 'EIN', 'country' => '', 'value' => '91-114444'.mt_rand(1, 9)]]],
            default => [
                'listedId' => null,
                'shorthand' => 'net '.mt_rand(1, 40),
                'fields' => [['name' => 'limit', 'value' => mt_rand(0, 1) === 1 ? null : (string) mt_rand(1, 99)]],
            ],
        };
        $this->saveSection($party, $section, $input, $version);

        return [$party, $section];
    }

    /**
     * Some of the rows that are kept, and perhaps a new one.
     *
     * @param (\Closure(): array<string, mixed>)|null $new
     *
     * @return list<array<string, mixed>>
     */
    private function someOf(Party $party, string $section, string $list, ?\Closure $new): array
    {
        $rows = array_values(array_filter($this->stateOf($party, $section)[$list], fn () => mt_rand(0, 3) > 0));

        return [...$rows, ...$new !== null && mt_rand(0, 2) > 0 ? [$new()] : []];
    }

    /** @return array<string, mixed> one of its own, or that of another by link */
    private function someContact(Party $party, Party $other): array
    {
        $theirs = $other->is($party) ? null : $other->contactPoints()->first();

        return $theirs === null
            ? $this->contact('phone', '802-555-0'.mt_rand(100, 199), ['addressUseId' => $party->addressUses()->value('id')])
            : $this->contact($theirs->kind->value, $theirs->typed, ['sameAsId' => $theirs->id]);
    }

    /** @return array<string, mixed> */
    private function someAddress(Party $party, Party $other): array
    {
        $theirs = $other->is($party) ? null : $other->addressUses()->first();

        return $this->address(
            $theirs === null
                ? ['lines' => mt_rand(1, 99).' Street', 'since' => '2026-01-0'.mt_rand(1, 9)]
                : [
                    'linkedAddressId' => $theirs->address_id,
                    'country' => '',
                    'lines' => '',
                    'locality' => '',
                    'region' => '',
                    'postcode' => '',
                ],
        );
    }

    /** @return array<string, mixed> */
    private function stateOf(Party $party, string $section): array
    {
        foreach (app(Sections::class)->all() as $one) {
            if ($one->name()->value === $section) {
                return self::read($one, $party->id);
            }
        }
        self::fail($section);
    }

    /** @return array<string, mixed> */
    private static function read(Section $section, int $id): array
    {
        $party = Party::query()->findOrFail($id);
        (new Collection([$party]))->load($section->reads());

        return $section->state($party);
    }

    /** @return array<string, string> what every section of every record says now */
    private function told(): array
    {
        $told = array_merge(...array_map(
            fn (Party $party) => $this->toldNow(app(Sections::class)->of(Party::query()->findOrFail($party->id))),
            $this->parties,
        ));
        ksort($told);

        return $told;
    }

    /** @return array<string, string> the same, as the records are read as of a day */
    private function asOf(string $day): array
    {
        $told = array_merge(...array_map(fn (Party $party) => $this->toldOn('parties', $party->id, $day), $this->parties));
        ksort($told);

        return $told;
    }

    /** @return array<string, array<string, mixed>> every section of every record */
    private function copy(): array
    {
        $copy = [];
        foreach ($this->parties as $party) {
            foreach (app(Sections::class)->all() as $section) {
                $copy["{$party->id} {$section->name()->value}"] = self::read($section, $party->id);
            }
        }

        return $copy;
    }

    /** @return array<string, array<string, mixed>> the same, from what was kept until then */
    private function replayed(int $moment): array
    {
        $replayed = [];
        foreach ($this->parties as $party) {
            foreach (app(Sections::class)->all() as $section) {
                $states = SectionState::query()
                    ->where(['subject_id' => $party->id, 'section' => $section->name()->value])
                    ->orderBy('version')
                    ->get();
                $then = $states->last(fn (SectionState $state) => $state->id <= $moment) ?? $states->first();
                $replayed["{$party->id} {$section->name()->value}"] = $then === null ? self::read($section, $party->id) : $then->state;
            }
        }

        return $replayed;
    }

    /** @return array<string, array<mixed>> which rows there are */
    private function rows(): array
    {
        $rows = [];
        foreach (['contact_points', 'address_uses', 'addresses', 'positions', 'relations', 'party_codes', 'tax_numbers'] as $table) {
            $rows[$table] = DB::table($table)->orderBy('id')->pluck('id')->values()->all();
        }

        return $rows;
    }
}
