<?php

declare(strict_types=1);

namespace App\Queries\Today;

use Almanac\Access\Permission;
use Almanac\Calendar\Day;
use Almanac\Meetings\MeetingState;
use Almanac\Terms\Side;
use App\Backup\BackupPlan;
use App\Facts\Ledger\LedgerFilter;
use App\Http\Data\Files\FileData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Meetings\MeetingRowData;
use App\Http\Data\Records\PartyLinkData;
use App\Http\Data\Records\PartyRowData;
use App\Http\Data\Reminders\ReminderData;
use App\Http\Data\Today\EndingCautionData;
use App\Http\Data\Today\TodayData;
use App\Http\Data\Today\TouchedData;
use App\Models\Caution;
use App\Models\Change;
use App\Models\Document;
use App\Models\File;
use App\Models\Meeting;
use App\Models\Party;
use App\Models\Reminder;
use App\Models\User;
use App\Queries\Engagements\ListEngagements;
use App\Queries\Readiness\ListGaps;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Reads what needs doing, for one colleague. */
final readonly class ReadToday
{
    private const DAYS_SOON = 7;

    /** A meeting of which nothing is written stays for so many. */
    private const DAYS_UNWRITTEN = 14;

    private const DAYS_OF_CAUTIONS = 14;

    private const DAYS_OF_FILES = 60;

    private const MOST = 20;

    /** Records touched lately are looked for among so many changes. */
    private const CHANGES = 300;

    private const MOST_TOUCHED = 8;

    private const MOST_GAPS = 5;

    public function __construct(private Clock $clock, private ListGaps $gaps, private ListEngagements $engagements, private BackupPlan $backups)
    {
    }

    public function handle(User $user): TodayData
    {
        $today = $this->clock->today();
        $gaps = $this->gaps->handle(1, $user->id);

        return new TodayData(
            $today->toTextWithWeekday(),
            $user->can(Permission::RunOffice->value) ? $this->backups->problem() : '',
            $this->due($user),
            $this->reminders(
                $user,
                fn (Builder $open) => $open
                    ->where('due_on', '>', $today->toIso())
                    ->where('due_on', '<=', $today->plusDays(self::DAYS_SOON)->toIso()),
            ),
            $this->meetings($user, $today),
            $this->touched(Change::query()->where('user_id', $user->id), $today),
            $this->touched(Change::query(), $today),
            $this->cautions($today),
            $this->files($today),
            array_slice($gaps->rows, 0, self::MOST_GAPS),
            $gaps->total,
            $this->documents($today, ['state' => 'due-this-week']),
            $this->documents($today, ['state' => 'newly-overdue', 'side' => Side::Client->value]),
            array_values(
                Party::query()
                    ->whereIn(
                        'id',
                        fn ($over) => $over->select('party_id')->from('record_values')->whereRaw('is_over_limit = 1 and +is_in_use = 1'),
                    )
                    ->filed()
                    ->limit(self::MOST)
                    ->get()
                    ->map(fn (Party $party) => PartyLinkData::of($party))
                    ->all(),
            ),
            $this->engagements->toBeDecided(),
            $this->engagements->standingTooLong(),
            $this->engagements->weighed(),
        );
    }

    /** @return list<MeetingRowData> */
    private function meetings(User $user, Day $today): array
    {
        return array_values(Meeting::query()->with('party', 'engagement')
            ->whereIn('id', DB::table('meeting_users')->select('meeting_id')->where('user_id', $user->id))
            ->where('state', MeetingState::Planned)
            ->whereBetween('held_on', [$today->plusDays(-self::DAYS_UNWRITTEN)->toIso(), $today->plusDays(self::DAYS_SOON)->toIso()])
            ->orderBy('held_on')->orderBy('time')->limit(self::MOST)->get()
            ->map(fn (Meeting $meeting) => MeetingRowData::of($meeting, $today))->all());
    }

    /**
     * The same documents as the ledger lists, the first of them.
     *
     * @param array{state: string, side?: string} $wanted
     *
     * @return list<DocumentRowData>
     */
    private function documents(Day $today, array $wanted): array
    {
        $filter = new LedgerFilter($wanted, $today);

        return array_values(
            Document::query()
                ->tap($filter->documents(...))
                ->select('documents.*')
                ->selectRaw($filter->partColumns())
                ->with('party')
                ->orderBy('next_due_on')
                ->limit(self::MOST)
                ->get()
                ->map(fn (Document $document) => DocumentRowData::of($document, $today))
                ->all(),
        );
    }

    /** @return list<ReminderData> those whose day has come */
    public function due(User $user): array
    {
        return $this->reminders($user, fn (Builder $open) => $open->where('due_on', '<=', $this->clock->today()->toIso()));
    }

    /**
     * @param \Closure(Builder<Reminder>): mixed $narrow
     *
     * @return list<ReminderData>
     */
    private function reminders(User $user, \Closure $narrow): array
    {
        $now = $this->clock->here();

        return array_values(
            Reminder::query()
                ->open()
                ->where('user_id', $user->id)
                ->tap($narrow)
                ->with('party', 'engagement', 'user', 'by')
                ->limit(self::MOST)
                ->get()
                ->map(fn (Reminder $reminder) => ReminderData::of($reminder, $now))
                ->all(),
        );
    }

    /**
     * @param Builder<Change> $changes
     *
     * @return list<TouchedData>
     */
    private function touched(Builder $changes, Day $today): array
    {
        // Cases and projects have a place of their own on the page.
        // With a plus the latest are walked until there are enough, and not those of all records looked up.
        $latest = $changes->whereRaw('+subject_id in (select id from parties)')
            ->with('user')->orderByDesc('id')->limit(self::CHANGES)->get()->unique('subject_id')
            ->take(self::MOST_TOUCHED);
        $parties = Party::query()->with(PartyRowData::RELATIONS)->findMany($latest->pluck('subject_id'))->keyBy('id');

        return array_values(
            $latest
                ->map(
                    fn (Change $change) => ($party = $parties->get($change->subject_id)) === null
                        ? null
                        : TouchedData::of($party, $change, $today),
                )
                ->filter()
                ->all(),
        );
    }

    /** @return list<EndingCautionData> */
    private function cautions(Day $today): array
    {
        return array_values(Caution::query()->with('party')
            ->whereBetween('until', [$today->toIso(), $today->plusDays(self::DAYS_OF_CAUTIONS)->toIso()])
            ->orderBy('until')->limit(self::MOST)->get()
            ->map(fn (Caution $caution) => EndingCautionData::of($caution))->all());
    }

    /** @return list<FileData> */
    private function files(Day $today): array
    {
        return array_values(File::query()->with('party', 'engagement', 'user')
            ->whereBetween('expires_on', [$today->plusDays(-self::DAYS_OF_FILES)->toIso(), $today->plusDays(self::DAYS_OF_FILES)->toIso()])
            ->whereHas('party', fn (Builder $party) => $party->whereNull('archived_on'))
            ->orderBy('expires_on')->limit(self::MOST)->get()
            ->map(fn (File $file) => FileData::of($file, $today))->all());
    }
}
