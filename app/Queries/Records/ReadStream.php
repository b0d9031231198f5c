<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use Almanac\Records\StreamFilter;
use Almanac\Records\StreamKind;
use Almanac\Records\StreamPlace;
use App\Http\Data\Records\StreamData;
use App\Http\Data\Records\StreamLineData;
use App\Models\Change;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\EngagementMove;
use App\Models\EngagementParty;
use App\Models\LogEntry;
use App\Models\Meeting;
use App\Models\Message;
use App\Models\Model;
use App\Models\Party;
use App\Models\Payment;
use App\Models\SubjectModel;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Reads the history of a subject in one stream, a stretch at a time: what was written, sent, billed and paid, its stages,
 * and what was changed, the changes of one day in one line. Each kind is read by an index of its own no further than one
 * stretch, and the stretches are put together.
 */
final class ReadStream
{
    private const AT_ONCE = 40;

    /** Of changes, of which a day may have many. */
    private const MOST_CHANGES = 300;

    private SubjectModel $subject;

    /** @var list<int> */
    private array $ids;

    private ?StreamPlace $before;

    /** @param  bool  $withPeople  of a company: what concerns those who work or worked there too */
    public function handle(SubjectModel $subject, StreamFilter $filter, ?StreamPlace $before, bool $withPeople): StreamData
    {
        $this->subject = $subject;
        $this->before = $before;
        $this->ids = [
            $subject->id,
            ...$withPeople && $subject instanceof Party ? array_values($subject->staffPositions()->pluck('person_id')->unique()->all()) : [],
        ];
        $lines = [];
        foreach ($filter->kinds() as $kind) {
            array_push($lines, ...$this->linesOf($kind, $filter));
        }
        usort($lines, fn (array $a, array $b) => $a[0]->compare($b[0]));
        $shown = array_slice($lines, 0, self::AT_ONCE);
        $last = $shown === [] ? null : $shown[count($shown) - 1][0];

        return new StreamData(array_column($shown, 1), count($lines) > self::AT_ONCE ? $last?->toText() : null);
    }

    /** @return list<array{StreamPlace, StreamLineData}> */
    private function linesOf(StreamKind $kind, StreamFilter $filter): array
    {
        return match ($kind) {
            StreamKind::Entry => $this->dated(
                LogEntry::query()->with('user', 'withParty', 'party')->whereIn('subject_id', $this->ids),
                'happened_on',
                $kind,
                fn (LogEntry $entry) => [$entry->happened_on, StreamLineData::entry($entry, $this->subject)],
            ),
            StreamKind::Meeting => $this->dated(
                $this->meetings()->with('user', 'party', 'engagement'),
                'held_on',
                $kind,
                fn (Meeting $meeting) => [$meeting->held_on, StreamLineData::meeting($meeting, $this->subject)],
            ),
            StreamKind::Stage => $this->dated(
                $this->moves()->with('user', 'stage', 'engagement'),
                'moved_on',
                $kind,
                fn (EngagementMove $move) => [$move->moved_on, StreamLineData::stage($move, $this->subject)],
            ),
            StreamKind::Payment => $this->dated(
                $this->owned(Payment::query()->with('user', 'party')),
                'paid_on',
                $kind,
                fn (Payment $payment) => [$payment->paid_on, StreamLineData::payment($payment, $this->subject)],
            ),
            StreamKind::Document => $this->dated(
                $this->owned(Document::query()->with('user', 'party')),
                'dated_on',
                $kind,
                fn (Document $document) => [$document->dated_on, StreamLineData::document($document, $this->subject)],
            ),
            StreamKind::Message => $this->messages(),
            StreamKind::Changes => $this->changes($filter),
        };
    }

    /**
     * @template M of Model
     *
     * @param Builder<M> $rows
     * @param \Closure(M): array{Day, StreamLineData} $read
     *
     * @return list<array{StreamPlace, StreamLineData}>
     */
    private function dated(Builder $rows, string $column, StreamKind $kind, \Closure $read): array
    {
        [$day, $id] = $this->before?->after($kind) ?? [null, null];
        if ($day !== null) {
            $rows->getQuery()->where($column, '<=', $day->toIso());
            if ($id !== null) {
                $rows->getQuery()->where(fn (QueryBuilder $either) => $either->where($column, '<', $day->toIso())->orWhere('id', '<', $id));
            }
        }
        $lines = [];
        $rows->getQuery()->orderByDesc($column)->orderByDesc('id')->limit(self::AT_ONCE + 1);
        foreach ($rows->get() as $row) {
            [$on, $line] = $read($row);
            $lines[] = [StreamPlace::of($on, $kind, $row->getKey()), $line];
        }

        return $lines;
    }

    /**
     * What happened at a moment, which is a day by the office's clock.
     *
     * @template M of Model
     *
     * @param Builder<M> $rows
     *
     * @return Collection<int, M>
     */
    private function timed(Builder $rows, StreamKind $kind, int $most): Collection
    {
        [$day, $id] = $this->before?->after($kind) ?? [null, null];
        if ($day !== null) {
            $rows->getQuery()->where('at', '<', Clock::beginningOf($day->plusDays(1))->toDateTimeString());
            if ($id !== null) {
                $rows->getQuery()->where(
                    fn (QueryBuilder $either) => $either->where('at', '<', Clock::beginningOf($day)->toDateTimeString())->orWhere('id', '<', $id),
                );
            }
        }

        $rows->getQuery()->orderByDesc('at')->orderByDesc('id')->limit($most);

        return $rows->get()->toBase();
    }

    /** @return list<array{StreamPlace, StreamLineData}> */
    private function messages(): array
    {
        $rows = $this->timed(
            Message::query()->with('user', 'party')->when(
                $this->subject instanceof Engagement,
                fn (Builder $messages) => $messages->whereIn('document_id', Document::query()->select('id')->where('engagement_id', $this->subject->id)),
                fn (Builder $messages) => $messages->whereIn('party_id', $this->ids),
            ),
            StreamKind::Message,
            self::AT_ONCE + 1,
        );

        return array_values($rows->map(fn (Message $message) => [
            StreamPlace::of(Clock::dayOf($message->at), StreamKind::Message, $message->id),
            StreamLineData::message($message, $this->subject),
        ])->all());
    }

    /** @return list<array{StreamPlace, StreamLineData}> those of one day and one subject in one line */
    private function changes(StreamFilter $filter): array
    {
        $rows = $this->timed(
            Change::query()->with('user', 'party', 'logEntry')->whereIn('subject_id', $this->ids)->whereNull('log_entry_id')
                // Stages stand in lines of their own.
                ->when($filter === StreamFilter::All, fn (Builder $changes) => $changes->where('section', '!=', SectionName::Stage->value)),
            StreamKind::Changes,
            self::MOST_CHANGES,
        );
        $days = $rows->groupBy(fn (Change $change) => Clock::dayOf($change->at)->toIso().' '.$change->subject_id)->values();
        // The day that the last of them are of may have more than were read.
        if ($rows->count() === self::MOST_CHANGES && $days->count() > 1) {
            $days->pop();
        }

        return array_values($days->map(function (Collection $changes): array {
            $day = Clock::dayOf($changes->firstOrFail()->at);

            $id = $changes->map(fn (Change $change) => $change->id)->min() ?? 0;

            return [
                StreamPlace::of($day, StreamKind::Changes, $id),
                StreamLineData::changes($day, $id, array_values($changes->all()), $this->subject),
            ];
        })->all());
    }

    /** @return Builder<Meeting> for it, or that a record comes to */
    private function meetings(): Builder
    {
        return $this->subject instanceof Engagement
            ? Meeting::query()->where('subject_id', $this->subject->id)
            : Meeting::query()->where(fn (Builder $theirs) => $theirs->whereIn('subject_id', $this->ids)
                ->orWhereIn('id', DB::table('meeting_parties')->select('meeting_id')->whereIn('party_id', $this->ids)));
    }

    /** @return Builder<EngagementMove> of it, or of those that a record is part of and whoever reads may see */
    private function moves(): Builder
    {
        return EngagementMove::query()->whereIn('engagement_id', $this->subject instanceof Engagement
            ? [$this->subject->id]
            : Engagement::query()->select('id')->whereIn(
                'id',
                EngagementParty::query()->select('engagement_id')->whereIn('party_id', $this->ids),
            ));
    }

    /**
     * @template M of Model
     *
     * @param Builder<M> $rows
     *
     * @return Builder<M>
     */
    private function owned(Builder $rows): Builder
    {
        $this->subject instanceof Engagement
            ? $rows->getQuery()->where('engagement_id', $this->subject->id)
            : $rows->getQuery()->whereIn('party_id', $this->ids);

        return $rows;
    }
}
