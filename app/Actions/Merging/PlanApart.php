<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\ApartDecisions;
use Almanac\Merging\MergeRefused;
use Almanac\Merging\MergeState;
use Almanac\Merging\SectionApart;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\IdentitySection;
use App\Actions\Records\Past;
use App\Actions\Records\SectionOf;
use App\Actions\Records\Sections;
use App\Facts\Records\SectionVersions;
use App\Models\Engagement;
use App\Models\FormerRecord;
use App\Models\Merge;
use App\Models\MergedSection;
use App\Models\MergeSide;
use App\Models\Party;
use App\Models\SectionState;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Works out what becomes of each record when they are taken apart that were made one. */
final readonly class PlanApart
{
    /** What one of what goes back is called, and several. */
    private const KINDS = [
        'documents' => ['document', 'documents'], 'payments' => ['payment', 'payments'], 'log_entries' => ['log entry', 'log entries'],
        'cautions' => ['caution', 'cautions'], 'reminders' => ['reminder', 'reminders'], 'files' => ['file', 'files'],
        'meetings' => ['meeting', 'meetings'], 'messages' => ['message', 'messages'], 'cards' => ['card', 'cards'],
        'contact_points' => ['phone or email', 'phones and emails'], 'address_uses' => ['address', 'addresses'],
        'positions' => ['position', 'positions'], 'relations' => ['relation', 'relations'],
        'engagement_parties' => ['case or project', 'cases and projects'], 'tax_numbers' => ['tax number', 'tax numbers'],
        'party_codes' => ['number elsewhere', 'numbers elsewhere'], 'bank_details' => ['bank detail', 'bank details'],
        'jobs' => ['statement', 'statements'],
    ];

    public function __construct(private Sections $sections, private IdentitySection $identity, private Clock $clock)
    {
    }

    /** @throws MergeRefused when it is apart already, or another has to be taken apart first */
    public function of(Merge $merge, ApartDecisions $decisions): ApartPlan
    {
        $merge->load('sides', 'moves', 'sections', 'user', 'apartBy');
        $kept = $this->mustBeTheLast($merge);
        $names = [$merge->kept_id => $merge->kept_name];
        foreach ($merge->sides as $side) {
            $names[$side->party_id] = $side->name;
        }
        $arrived = new ArrivedSince($merge, $names);
        $items = $arrived->items($decisions);
        $sections = $this->savedSince($merge, $kept, array_keys($names));
        $lost = $this->deletedSince($merge);
        $between = $arrived->between($items);
        foreach ($between as $allocation) {
            $lost[] = "What was settled of {$allocation->document->title()} ({$allocation->document->money($allocation->amount_minor)->toText()}) is open again: it came from what belongs to another.";
        }
        $changes = $this->changes($kept, $sections, $decisions);

        return new ApartPlan(
            $merge,
            $kept,
            $names,
            $this->back($merge),
            $items,
            $changes,
            $lost,
            $sections,
            $between,
            hash('sha256', json_encode([
                SectionVersions::all($kept), array_map(fn (ApartItem $one) => $one->key, $items), count($lost),
            ], JSON_THROW_ON_ERROR)),
        );
    }

    /** @throws MergeRefused */
    private function mustBeTheLast(Merge $merge): Party
    {
        if ($merge->state === MergeState::Apart) {
            throw MergeRefused::isApart($merge->apartBy->name ?? 'Somebody');
        }
        if ($merge->state === MergeState::Proposed) {
            throw MergeRefused::isNotProposed();
        }
        $former = FormerRecord::query()->where('party_id', $merge->kept_id)->first();
        $later = $former === null
            ? Merge::query()
                ->where('state', MergeState::Done)->where('kept_id', $merge->kept_id)->where('id', '>', $merge->id)
                ->with('sides')->latest('id')->first()
            : Merge::query()->with('sides')->find($former->merge_id);
        if ($later instanceof Merge) {
            $on = $later->done_at === null ? '' : ' on '.Clock::dayOf($later->done_at)->toText();
            throw MergeRefused::lastFirst($former === null
                ? "made one with {$later->others()}$on"
                : "made one with no. $later->kept_number $later->kept_name$on");
        }

        return Party::query()->find($merge->kept_id) ?? throw MergeRefused::isGone();
    }

    /**
     * @param list<int> $ids the one that stayed first
     *
     * @return array<string, SectionApart>
     */
    private function savedSince(Merge $merge, Party $kept, array $ids): array
    {
        $versions = SectionVersions::all($kept);
        $since = [];
        foreach ($this->sections->all() as $section) {
            $name = $section->name();
            $right = $merge->versions[$name->value] ?? 0;
            if (($versions[$name->value] ?? 0) === $right) {
                continue;
            }
            $merged = SectionState::query()->where(['subject_id' => $kept->id, 'section' => $name->value, 'version' => $right])->first();
            $now = SectionOf::party($section, $kept);
            $now->reload();
            $before = [];
            foreach ($merge->sections->where('section', $name->value)->sortBy(fn (MergedSection $one) => array_search($one->party_id, $ids, true)) as $one) {
                $before[$one->party_id] = $one->state;
            }
            if ($merged !== null) {
                $since[$name->value] = new SectionApart($name, $before, $merged->state, $now->state());
            }
        }

        return $since;
    }

    /**
     * @param array<string, SectionApart> $sections
     *
     * @return list<ApartChange>
     */
    private function changes(Party $kept, array $sections, ApartDecisions $decisions): array
    {
        $changes = [];
        foreach ($sections as $name => $apart) {
            $section = $this->sections->named(SectionName::from($name));
            $changed = $apart->changed();
            if ($section === null || $changed === []) {
                continue;
            }
            $is = SectionOf::party($section, $kept);
            $is->reload();
            $facts = $is->facts();
            $then = clone $kept;
            $then->unsetRelations()->load($section->reads());
            $was = SectionOf::party($section, $then);
            $was->recall($apart->merged, new Past($kept->id, $this->clock->now(), $this->identity));
            $before = $was->facts();
            foreach ($changed as $key => $has) {
                $part = "$name/$key";
                $changes[] = new ApartChange(
                    $part,
                    SectionName::from($name),
                    ($facts[$key] ?? $before[$key] ?? new LoggedFact($key, ''))->label,
                    $before[$key]->value ?? '',
                    $facts[$key]->value ?? '',
                    $decisions->has[$part] ?? $has,
                    $apart->isNew($key),
                );
            }
        }

        return $changes;
    }

    /** @return list<array{int, list<string>}> */
    private function back(Merge $merge): array
    {
        $counts = [];
        foreach ($merge->moves as $move) {
            if ($move->column !== 'with_party_id') {
                $counts[$move->from_id][$move->table] = ($counts[$move->from_id][$move->table] ?? 0) + count($move->ids);
            }
        }
        $gone = $merge->goneIds();
        $seen = Engagement::query()->pluck('id')->flip();
        foreach ($merge->rows()->whereIn('table', array_keys(self::KINDS))->get() as $row) {
            // Of cases only those that whoever asks may see.
            if ($row->table === 'engagement_parties' && ! $seen->has($row->before['engagement_id'] ?? 0)) {
                continue;
            }
            foreach (['party_id', 'person_id', 'company_id', 'from_id', 'to_id'] as $column) {
                $of = $row->before[$column] ?? null;
                if (is_int($of) && in_array($of, $gone, true)) {
                    $counts[$of][$row->table] = ($counts[$of][$row->table] ?? 0) + 1;
                }
            }
        }

        return array_map(fn (int $id, array $of) => [$id, array_map(
            fn (string $table, int $many) => $many === 1 ? '1 '.(self::KINDS[$table][0] ?? $table) : $many.' '.(self::KINDS[$table][1] ?? $table),
            array_keys($of),
            $of,
        )], array_keys($counts), array_values($counts));
    }

    /** @return list<string> */
    private function deletedSince(Merge $merge): array
    {
        $lost = [];
        foreach ($merge->moves as $move) {
            $there = 0;
            foreach (array_chunk($move->ids, 500) as $some) {
                $there += DB::table($move->table)->whereIntegerInRaw('id', $some)->where($move->column, $merge->kept_id)->count();
            }
            $missing = count($move->ids) - $there;
            $kind = self::KINDS[$move->table][1] ?? $move->table;
            $side = $merge->sides->first(fn (MergeSide $one) => $one->party_id === $move->from_id);
            if ($missing > 0) {
                $lost[] = "Of the $kind of {$side?->name}, $missing ".($missing === 1 ? 'is' : 'are').' gone or elsewhere by now: what is gone cannot be brought back.';
            }
        }

        return $lost;
    }
}
