<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Records\SectionName;
use App\Actions\Conflicts\SearchConflicts;
use App\Actions\Engagements\BeginEngagement;
use App\Actions\Engagements\MoveStage;
use App\Actions\Engagements\SaveEngagement;
use App\Actions\Ledger\ForEngagement;
use App\Actions\Office\KeepSheets;
use App\Models\DetailField;
use App\Models\DetailSheet;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\EngagementKind;
use App\Models\EngagementStage;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;

/** Fourteen restorations and insurance claims of the demo office. Everything is made up. */
final class DemoEngagements
{
    use TellsDaysAgo;

    /**
     * Kind, title, who looks after it, agreed, value, chance, decision in so many days, whether it is private; stages with
     * the days back; parties with their roles and more.
     */
    private const ALL = [
        'clock' => ['project', 'Town hall clock: movement, dial and hands', 1, '18,500', '', '', null, false, [
            ['Asked about', 310, ''], ['Quoted', 290, ''], ['At work', 262, ''],
        ],
            [
                ['town', 'client', ['contact' => 'henry', 'share' => '100']],
                ['isolde', 'contractor', []],
                ['bellfounder', 'contractor', ['note' => 'hour bell']],
            ]],
        'telescope' => ['project', 'Transit telescope: movement and circles', 0, '36,500', '', '', null, false, [
            ['Quoted', 430, ''], ['At work', 411, ''], ['Waiting for parts', 64, ''],
        ],
            [
                ['observatory', 'client', ['contact' => 'misaki', 'share' => '100']],
                ['gearcutter', 'contractor', []],
                ['augusta', 'site contact', ['via' => 'observatory']],
            ]],
        'chimes' => ['project', 'Tower clock and chimes of St. Osyth', 1, '9,800', '', '', null, false, [
            ['Asked about', 398, ''], ['At work', 391, ''],
        ], [['parish', 'client', ['share' => '100']], ['foundry', 'contractor', ['contact' => 'silas']]]],
        'orrery' => ['project', 'Orrery for the entrance hall', 0, '', '12,400', '60', 12, false, [
            ['Asked about', 33, ''], ['Quoted', 20, ''],
        ], [['observatory', 'client', ['contact' => 'augusta']]]],
        'regulator' => [
            'project', 'Office regulator clock', 1, '', '1,350', '80', -3, false, [['Quoted', 36, '']],
            [['courier', 'client', []]],
        ],
        'sundial' => [
            'project', 'Sundial for the churchyard', null, '', '2,800', '30', 25, false, [['Asked about', 16, '']],
            [['parish', 'client', []]],
        ],
        'barometer' => ['project', 'Wheel barometer: tube and dial', 0, '2,760', '', '', null, false, [
            ['At work', 385, ''], ['Finished', 92, 'Handed over; the dial was gilded anew'],
        ], [['edith', 'client', ['share' => '100']], ['isolde', 'contractor', []]]],
        'bell' => ['project', 'School bell: new headstock', 1, '1,900', '', '', null, false, [
            ['At work', 402, ''], ['Finished', 366, 'Hung and rung'],
        ], [['town', 'client', []], ['timber', 'contractor', []]]],
        'dial' => ['project', 'Bracket clock with a painted dial', 0, '', '3,100', '50', null, false, [
            ['Asked about', 210, ''], ['Lost', 188, 'Sold before the work began'],
        ], [['edith', 'client', []], ['regula', 'adviser', []]]],
        'flood' => ['case', 'Flooded barometer collection', 0, '26,000', '', '', null, false, [
            ['Reported', 399, ''], ['Under review', 392, ''], ['With the insurer', 21, ''],
        ], [
            ['edith', 'insured', ['share' => '20']], ['insurer', 'insurer', ['share' => '80', 'contact' => 'nadia']],
            ['nadia', 'adjuster', ['via' => 'insurer']], ['walter', 'insured', ['note' => 'his estate']], ['augusta', 'witness', []],
        ]],
        'lightning' => ['case', 'Lightning at the clock tower', 1, '3,400', '', '', null, false, [
            ['Reported', 58, ''], ['Under review', 51, ''],
        ], [['town', 'insured', ['contact' => 'henry']], ['insurer', 'insurer', []]]],
        'dome' => ['case', 'South dome struck by a crane', 0, '7,250', '', '', null, false, [
            ['Reported', 380, ''], ['Under review', 371, ''], ['Settled', 301, 'Paid in full by the other side'],
        ], [['observatory', 'insured', []], ['crane', 'opposing side', []], ['insurer', 'insurer', []]]],
        'theft' => ['case', 'Pocket chronometer gone from a workshop', 2, '', '', '', null, true, [['Under review', 12, '']], [
            ['isolde', 'insured', []],
        ]],
        'case-glass' => ['case', 'Cracked case glass in carriage', 1, '640', '', '', null, false, [
            ['Reported', 120, ''], ['Declined', 104, 'Packed by the client; the carrier is not liable'],
        ], [['edith', 'insured', []], ['courier', 'opposing side', []]]],
    ];

    /** Whose documents of the demo office are for which. */
    private const DOCUMENTS = [
        ['clock', 'town', 'invoice'], ['telescope', 'observatory', 'invoice'], ['chimes', 'parish', 'invoice'],
        ['flood', 'insurer', 'invoice'], ['barometer', 'edith', 'invoice'], ['regulator', 'courier', 'quote'],
        ['chimes', 'foundry', 'bill'], ['telescope', 'gearcutter', 'bill'], ['clock', 'bellfounder', 'bill'],
    ];

    private const DETAILS = [
        'flood' => ['Claim number' => 'HM-2025-0417', 'Date of loss' => 401, 'Cause' => 'water'],
        'lightning' => ['Claim number' => 'HM-2026-1102', 'Date of loss' => 60, 'Cause' => 'lightning'],
        'dome' => ['Claim number' => 'HM-2025-0433', 'Date of loss' => 383, 'Cause' => 'impact'],
    ];

    /** @var array<string, Engagement> by the name in ALL */
    private array $made = [];

    public function __construct(
        private readonly BeginEngagement $begin,
        private readonly MoveStage $move,
        private readonly SaveEngagement $save,
        private readonly ForEngagement $for,
        private readonly KeepSheets $sheets,
        private readonly SearchConflicts $conflicts,
        private readonly Clock $clock,
    ) {
    }

    /**
     * @param array<string, Party> $parties by the name in DemoRecords
     * @param list<User> $users
     */
    public function seed(array $parties, array $users): void
    {
        $kinds = EngagementKind::query()->with('stages', 'roles')->get();
        foreach (self::ALL as $key => $row) {
            $this->made[$key] = $this->one($row, $kinds, $parties, $users);
        }
        // The telescope turned out to need more than was first agreed.
        $this->doneDaysAgo(205, fn () => $this->save->handle(SectionName::Engagement, $this->made['telescope'], [
            'title' => 'Transit telescope: full restoration', 'ownerId' => $users[0]->id, 'currency' => 'USD', 'agreed' => '42,000',
            'value' => '', 'chance' => '', 'decidedOn' => '', 'isPrivate' => false, 'readerIds' => [],
        ], 0, $users[0]));
        $this->site($this->made['telescope'], $parties['observatory'], 'South dome; the key is at the gate', $users[0]);
        $this->site($this->made['dome'], $parties['observatory'], '', $users[0]);
        $this->site($this->made['chimes'], $parties['parish'], 'Ring twice for the verger', $users[1]);
        $this->site($this->made['clock'], $parties['town'], 'Tower stair behind the council chamber', $users[1]);
        $this->link($this->made['dome'], $this->made['telescope'], 'part-of', $users[0]);
        $this->link($this->made['lightning'], $this->made['clock'], 'follows', $users[1]);
        $this->details($kinds->firstOrFail('name', 'case'), $users[0]);
        $this->conflicts->handle(null, [
            ['name' => 'Hollow Pine Timber Yard', 'role' => 'insured'], ['name' => 'Swiftwing', 'role' => 'witness'],
            ['name' => 'Fern Ashdown', 'role' => 'insured'],
        ], $users[2]);
        foreach (self::DOCUMENTS as [$key, $party, $kind]) {
            foreach (Document::query()->where('party_id', $parties[$party]->id)->where('kind', $kind)->get() as $document) {
                $this->for->document($document, $this->made[$key]->id, $users[0]);
            }
        }
    }

    /**
     * @param array{
     *     string, string, int|null, string, string, string, int|null, bool, non-empty-list<array{string, int, string}>,
     *     list<array{string, string, array{via?: string, contact?: string, share?: string, note?: string}}>,
     * } $row as in ALL
     * @param Collection<int, EngagementKind> $kinds
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function one(array $row, Collection $kinds, array $parties, array $users): Engagement
    {
        [$kindName, $title, $owner, $agreed, $value, $chance, $decided, $isPrivate, $stages, $concerned] = $row;
        $kind = $kinds->firstOrFail('name', $kindName);
        $stageId = fn (string $name) => $kind->stages->firstOrFail(fn (EngagementStage $stage) => $stage->name === $name)->id;
        $by = $users[$owner ?? 0];
        $input = [
            'kindId' => $kind->id, 'stageId' => $stageId($stages[0][0]), 'begunOn' => $this->daysAgo($stages[0][1]),
            'title' => $title, 'ownerId' => $owner === null ? null : $users[$owner]->id, 'currency' => 'USD', 'agreed' => $agreed,
            'value' => $value, 'chance' => $chance, 'decidedOn' => $this->daysAgo($decided === null ? null : -$decided),
            'isPrivate' => $isPrivate, 'readerIds' => $isPrivate ? [$users[2]->id] : [],
            'parties' => array_map(fn (array $one) => [
                'id' => null, 'partyId' => $parties[$one[0]]->id,
                'roleId' => $kind->roles->firstOrFail('name', $one[1])->id,
                'viaId' => isset($one[2]['via']) ? $parties[$one[2]['via']]->id : null,
                'contactId' => isset($one[2]['contact']) ? $parties[$one[2]['contact']]->id : null,
                'since' => '', 'until' => '', 'share' => $one[2]['share'] ?? '',
                'isMailed' => in_array($one[1], ['client', 'insured'], true), 'note' => $one[2]['note'] ?? '',
            ], $concerned),
        ];
        $engagement = $this->doneDaysAgo($stages[0][1], fn () => $this->begin->handle($input, $by));
        foreach (array_slice($stages, 1) as [$name, $days, $reason]) {
            $this->doneDaysAgo(
                $days,
                fn () => $this->move->handle($engagement, $engagement->stage_id, $stageId($name), '', $reason, true, $by),
            );
        }

        return $engagement;
    }

    private function site(Engagement $engagement, Party $party, string $note, User $by): void
    {
        $this->save->handle(SectionName::Site, $engagement, [
            'addressId' => $party->addressUses()->firstOrFail()->address_id, 'country' => '', 'lines' => '', 'locality' => '',
            'region' => '', 'postcode' => '', 'note' => $note,
        ], 0, $by);
    }

    private function link(Engagement $from, Engagement $to, string $kind, User $by): void
    {
        $this->save->handle(SectionName::Links, $from, ['links' => [['id' => null, 'engagementId' => $to->id, 'kind' => $kind]]], 0, $by);
    }

    private function details(EngagementKind $case, User $by): void
    {
        $this->sheets->save(new DetailSheet(), [
            'name' => 'Claim',
            'partyKind' => null,
            'type' => '',
            'engagementKindId' => $case->id,
            'isRetired' => false,
            'fields' => array_map(fn (array $field) => [
                'id' => null, 'name' => $field[0], 'kind' => $field[1], 'options' => $field[2], 'help' => '',
                'requiredFor' => null, 'isRetired' => false,
            ], [
                ['Claim number', 'text', []], ['Date of loss', 'date', []],
                ['Cause', 'choice', ['water', 'fire', 'lightning', 'impact', 'theft']],
            ]),
        ]);
        $ids = DetailField::query()->pluck('id', 'name');
        foreach (self::DETAILS as $key => $values) {
            $this->save->handle(SectionName::Details, $this->made[$key], ['values' => array_map(
                fn (string $field, string|int $value) => [
                    'fieldId' => $ids[$field],
                    'value' => is_int($value) ? $this->daysAgo($value) : $value,
                ],
                array_keys($values),
                $values,
            )], 0, $by);
        }
    }
}
