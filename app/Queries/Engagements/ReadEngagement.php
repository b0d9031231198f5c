<?php

declare(strict_types=1);

namespace App\Queries\Engagements;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use App\Facts\Engagements\FiguresOf;
use App\Facts\Records\SectionVersions;
use App\Http\Data\Engagements\EngagementData;
use App\Http\Data\Engagements\EngagementFiguresData;
use App\Http\Data\Engagements\EngagementHeadData;
use App\Http\Data\Engagements\EngagementLinkData;
use App\Http\Data\Engagements\EngagementPartyData;
use App\Http\Data\Engagements\EngagementRowData;
use App\Http\Data\Engagements\EngagementSiteData;
use App\Http\Data\Engagements\EngagementTieData;
use App\Http\Data\Engagements\StageMoveData;
use App\Http\Data\Files\FileData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Notes\LogEntryData;
use App\Http\Data\Records\ArchiveData;
use App\Http\Data\Records\ChangeData;
use App\Http\Data\Reminders\ReminderData;
use App\Models\Change;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\File;
use App\Models\LogEntry;
use App\Models\Office;
use App\Models\Reminder;
use App\Queries\Finding\ReadLines;
use App\Queries\Records\ReadDetails;
use App\Time\Clock;

/** Reads a whole case or project, with what the program works out from it. */
final readonly class ReadEngagement
{
    private const READS = [
        'kind', 'stage', 'owner', 'user', 'readers', 'siteAddress.owner', 'moves.stage', 'moves.user', 'parties.party.cautions',
        'parties.role', 'parties.via', 'parties.contact', 'tiesFrom.to.stage', 'tiesTo.from.stage', 'detailValues',
    ];

    private const NEWEST = 20;

    public function __construct(private Clock $clock, private ReadLines $lines, private ReadDetails $details)
    {
    }

    public function handle(Engagement $engagement): EngagementData
    {
        $engagement->load(self::READS);
        $today = $this->clock->today();
        $versions = SectionVersions::all($engagement);
        $version = fn (SectionName $section) => $versions[$section->value] ?? 0;
        $lines = $this->lines->handle(array_values($engagement->parties->pluck('party_id')->unique()->all()));
        $documents = Document::query()->where('engagement_id', $engagement->id);
        $last = Change::query()->with('user', 'logEntry.user', 'logEntry.withParty')
            ->where('subject_id', $engagement->id)->latest('id')->first();

        return new EngagementData(
            EngagementRowData::of($engagement, $today),
            EngagementHeadData::of($engagement, $version(SectionName::Engagement), $today),
            ArchiveData::of($engagement),
            array_values($engagement->logEntries()->where('is_pinned', true)->with('user', 'withParty')->get()
                ->map(fn (LogEntry $entry) => LogEntryData::of($entry))->all()),
            $this->moves($engagement, $today),
            $version(SectionName::Parties),
            array_values($engagement->parties->map(
                fn (EngagementParty $one) => EngagementPartyData::of($one, $lines[$one->party_id]->row, $today),
            )->all()),
            $this->todo($engagement, $today),
            EngagementSiteData::of($engagement, $version(SectionName::Site), Office::current()->country),
            $this->details->ofEngagement($engagement, $version(SectionName::Details)),
            $version(SectionName::Links),
            $this->links($engagement),
            array_map(EngagementFiguresData::of(...), FiguresOf::engagement($engagement, $today)),
            array_values($documents->clone()->with('party')->orderByDesc('dated_on')->orderByDesc('id')->limit(self::NEWEST)->get()
                ->map(fn (Document $document) => DocumentRowData::of($document, $today))->all()),
            $documents->count(),
            array_values(
                $engagement->files()
                    ->with('user', 'party', 'engagement')->get()->map(fn (File $file) => FileData::of($file, $today))
                    ->all(),
            ),
            array_values($engagement->reminders()->open()->with('party', 'engagement', 'user', 'by')->get()
                ->map(fn (Reminder $reminder) => ReminderData::of($reminder, $this->clock->here()))->all()),
            $last === null ? null : ChangeData::of($last),
        );
    }

    /** @return list<StageMoveData> */
    private function moves(Engagement $engagement, Day $today): array
    {
        return array_map(StageMoveData::of(...), array_values($engagement->moves->all()), $engagement->history()->stays($today));
    }

    /** @return list<string> */
    private function todo(Engagement $engagement, Day $today): array
    {
        $have = $engagement->parties->filter(fn (EngagementParty $one) => $one->isNow($today))->countBy('role_id');

        return array_values(EngagementRole::query()->where('kind_id', $engagement->kind_id)->where('is_retired', false)->orderBy('rank')->get()
            ->map(fn (EngagementRole $role) => $role->role()->todo($have->get($role->id) ?? 0))
            ->filter(fn (string $todo) => $todo !== '')
            ->all());
    }

    /** @return list<EngagementTieData> those that whoever reads may see */
    private function links(Engagement $engagement): array
    {
        $links = [];
        foreach ($engagement->ties() as $tie) {
            $other = $tie->otherThan($engagement);
            if ($other !== null) {
                $kind = $tie->seenFrom($engagement);
                $links[] = new EngagementTieData(
                    $tie->id, $kind->value, $kind->title(), EngagementLinkData::of($other), $other->stage->name,
                );
            }
        }

        return $links;
    }
}
