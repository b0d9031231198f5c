<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Change;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\EngagementMove;
use App\Models\EngagementParty;
use App\Models\LogEntry;
use App\Models\Message;
use App\Models\Party;
use App\Models\Payment;
use App\Models\SubjectModel;
use Tests\TestCase;

final class StreamTest extends TestCase
{
    use BeginsEngagements;

    public function test_the_stretches_hold_everything_of_the_demo_office_once_and_in_order(): void
    {
        $this->demo();
        $this->actingAs($this->user(Role::Administrator));
        foreach ([...Party::query()->whereIn('id', Document::query()->select('party_id'))->limit(12)->get(), ...Engagement::query()->limit(6)->get()] as $subject) {
            $lines = $this->stream($subject);
            $this->assertSame($this->kept($subject), $this->keysOf($lines), (string) $subject->id);
        }
    }

    public function test_a_long_history_is_read_in_stretches_with_the_changes_of_a_day_in_one_line(): void
    {
        config(['almanac.today' => '2026-03-01']);
        $brass = $this->addCompany('Brass Lantern Foundry');
        for ($at = 0; $at < 130; $at++) {
            config(['almanac.today' => '2026-03-'.sprintf('%02d', 1 + intdiv($at, 20))]);
            $at % 3 === 0
                ? $this->saveSection(
                    $brass,
                    'classification',
                    [
                        'types' => [], 'tags' => ["tag $at"], 'ownerId' => null, 'accountManagerId' => null,
                        'buyerId' => null, 'source' => '', 'language' => 'en', 'grade' => null, 'codes' => [],
                    ],
                    intdiv($at, 3),
                )
                    ->assertOk()
                : $this->postJson(
                    "/api/parties/{$brass->id}/entries",
                    ['kind' => 'call', 'day' => '', 'withPartyId' => null, 'text' => "Call $at", 'isPinned' => false],
                )
                    ->assertCreated();
        }
        $lines = $this->stream($brass);
        $this->assertSame($this->kept($brass), $this->keysOf($lines));
        $days = array_filter($lines, fn (array $line) => $line['kind'] === 'changes');
        $this->assertCount(7, $days, 'a line for each day on which something was changed, the first day with its being added');
        foreach (['written' => ['entry'], 'changes' => ['changes'], 'money' => []] as $show => $kinds) {
            $this->assertSame($kinds, array_values(array_unique(array_column($this->stream($brass, "show=$show&"), 'kind'))), $show);
        }
        foreach (['show=nonsense', 'before=x', 'before=2026-03-03.9.1%0A', 'withPeople=perhaps'] as $wrong) {
            $this->getJson("/api/parties/{$brass->id}/stream?$wrong")->assertUnprocessable();
        }
        $this->getJson("/api/parties/{$brass->id}/stream?before=2026-13-41.4.1")->assertOk();
    }

    public function test_a_day_of_very_many_changes_hides_nothing_of_what_was_before(): void
    {
        $brass = $this->addCompany('Brass Lantern Foundry');
        $this->issued($brass, 'invoice', '100', ['date' => '3 Mar 2024']);
        $row = [
            'subject_id' => $brass->id, 'section' => 'reach', 'label' => 'Phone', 'from' => '', 'to' => 'x',
            'user_id' => $this->administrator->id,
        ];
        // An import of an address book long ago, and a few changes on the days around.
        foreach (['2025-01-02' => 5, '2025-01-03' => 700, '2025-01-04' => 5] as $day => $many) {
            Change::query()->insert(array_fill(0, $many, $row + ['at' => "$day 15:00:00"]));
        }
        $lines = $this->stream($brass);
        $this->assertSame($this->kept($brass), $this->keysOf($lines));
        $this->assertSame('document', $lines[count($lines) - 1]['kind']);
    }

    public function test_a_company_is_read_with_its_people_and_each_line_says_whose_it_is(): void
    {
        $brass = $this->addCompany('Brass Lantern Foundry');
        $silas = $this->addPerson('Silas', 'Wren', ['companyId' => $brass->id]);
        $this->postJson(
            "/api/parties/{$silas->id}/entries",
            ['kind' => 'call', 'day' => '', 'withPartyId' => null, 'text' => 'About the bell', 'isPinned' => false],
        )
            ->assertCreated();
        $this->assertSame([], $this->stream($brass, 'show=written&'));
        $with = $this->stream($brass, 'show=written&withPeople=true&');
        $this->assertSame(['About the bell'], array_map(fn (array $line) => $line['entry']['text'], $with));
        $this->assertSame('Silas Wren', $with[0]['of']['name']);
    }

    public function test_the_stages_of_a_private_case_are_there_only_for_whom_it_names(): void
    {
        $this->asAdministrator();
        $silas = $this->addPerson('Silas', 'Wren');
        $reader = $this->user(Role::Reader);
        $mine = $this->user(Role::Administrator);
        $this->actingAs($mine)->begin('case', 'Reported', 'Secret', [
            'isPrivate' => true, 'readerIds' => [$mine->id], 'parties' => [$this->inRole($silas, $this->roleId('case', 'witness'))],
        ]);
        $this->assertSame(['Stage: Reported'], array_column($this->stream($silas, 'show=stages&'), 'text'));
        $this->actingAs($reader);
        $this->assertSame([], $this->stream($silas, 'show=stages&'));
    }

    /** @return list<array<string, mixed>> all of it, stretch by stretch */
    private function stream(SubjectModel $subject, string $query = ''): array
    {
        $lines = [];
        $before = '';
        do {
            $kind = $subject instanceof Party ? 'parties' : 'engagements';
            $stretch = $this->getJson("/api/$kind/$subject->id/stream?$query".($before === '' ? '' : "before=$before"))->assertOk();
            array_push($lines, ...$stretch->json('lines'));
            $before = $stretch->json('before');
        } while ($before !== null);
        $years = array_column($lines, 'year');
        $sorted = $years;
        rsort($sorted);
        $this->assertSame($sorted, $years, 'the newest first');

        return $lines;
    }

    /**
     * @param list<array<string, mixed>> $lines
     *
     * @return list<string> what they tell of, each change by itself
     */
    private function keysOf(array $lines): array
    {
        $keys = [];
        foreach ($lines as $line) {
            array_push(
                $keys,
                ...$line['kind'] === 'changes'
                    ? array_map(fn (array $change) => 'change-'.$change['id'], $line['changes'])
                    : [$line['key']],
            );
        }
        sort($keys);

        return $keys;
    }

    /** @return list<string> what there is to be told, table by table */
    private function kept(SubjectModel $subject): array
    {
        $id = $subject->id;
        $isParty = $subject instanceof Party;
        $column = $isParty ? 'party_id' : 'engagement_id';
        $engagements = $isParty ? EngagementParty::query()->where('party_id', $id)->pluck('engagement_id')->all() : [$id];
        $documents = Document::query()->where($column, $id)->pluck('id');
        $keys = [
            ...$documents->map(fn (int $id) => "document-$id")->all(),
            ...Payment::query()->where($column, $id)->pluck('id')->map(fn (int $id) => "payment-$id")->all(),
            ...LogEntry::query()->where('subject_id', $id)->pluck('id')->map(fn (int $id) => "entry-$id")->all(),
            ...Message::query()
                ->whereIn($isParty ? 'party_id' : 'document_id', $isParty ? [$id] : $documents)->pluck('id')
                ->map(fn (int $id) => "message-$id")->all(),
            ...EngagementMove::query()
                ->whereIn('engagement_id', Engagement::query()->whereKey($engagements)->pluck('id'))->pluck('id')
                ->map(fn (int $id) => "stage-$id")->all(),
            ...Change::query()
                ->where('subject_id', $id)->whereNull('log_entry_id')->where('section', '!=', 'stage')->pluck('id')
                ->map(fn (int $id) => "change-$id")->all(),
        ];
        sort($keys);

        return $keys;
    }
}
