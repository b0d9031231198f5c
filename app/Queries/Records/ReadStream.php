<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use Almanac\Records\StreamFilter;
use Almanac\Records\StreamKind;
use Almanac\Records\StreamPlace;
use App\Facts\Merging\Origins;
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
use Illuminate\Database\Query\Builder as Rows;
use Illuminate\Support\Facades\DB;

/**
 * Reads the history of a subject in one stream, a stretch at a time: what was said and written, sent, billed and paid, its
 * stages, and what was changed, the changes of one day in one line. Where each thing stands is read first, by an index of
 * its kind and no further than one stretch; the stretches are put together, and only what is shown is read whole.
 */
final class ReadStream
{
    private const AT_ONCE = 40;

    /** Of changes, of which a day may have many. */
    private const MOST_CHANGES = 120;

    private SubjectModel $subject;

    /** @var list<int> */
    private array $ids;

    private ?StreamPlace $before;

    private Origins $origins;

    /** @param  bool  $withPeople  of a company: what concerns those who work or worked there too */
    public function handle(SubjectModel $subject, StreamFilter $filter, ?StreamPlace $before, bool $withPeople): StreamData
    {
        $this->subject = $subject;
        $this->before = $before;
        $this->origins = Origins::of($subject);
        $this->ids = [
            ...$this->origins->subjectIds(),
            ...$withPeople && $subject instanceof Party
                ? array_values($subject->staffPositions()->pluck('person_id')->unique()->all())
                : [],
        ];
        $places = [];
        $horizon = null;
        foreach ($filter->kinds() as $kind) {
            [$ofKind, $horizon] = $kind === StreamKind::Changes ? $this->changes($filter) : [$this->places($kind), $horizon];
            array_push($places, ...$ofKind);
        }
        usort($places, fn (array $a, array $b) => $a[0]->compare($b[0]));
        if ($horizon !== null) {
            // What is older than the changes that were read waits for those that were not.
            $places = array_values(array_filter($places, fn (array $one) => $one[0]->compare($horizon) <= 0));
        }
        $shown = array_slice($places, 0, self::AT_ONCE);
        $last = $shown === [] ? null : $shown[count($shown) - 1][0];
        $isMore = $horizon !== null || count($places) > self::AT_ONCE;

        return new StreamData($this->lines($shown), $isMore ? $last?->toText() : null);
    }

    /** @return list<array{StreamPlace, list<int>}> where things of a kind stand, and their numbers */
    private function places(StreamKind $kind): array
    {
        [$rows, $column] = match ($kind) {
            StreamKind::Meeting => [$this->meetings()->toBase(), 'held_on'],
            StreamKind::Entry => [LogEntry::query()->whereIn('subject_id', $this->ids)->toBase(), 'happened_on'],
            StreamKind::Stage => [$this->moves()->toBase(), 'moved_on'],
            StreamKind::Payment => [$this->owned(Payment::query()->toBase()), 'paid_on'],
            StreamKind::Document => [$this->owned(Document::query()->toBase()), 'dated_on'],
            default => [$this->messages()->toBase(), 'at'],
        };
        $read = $column === 'at'
            ? $this->timed($rows, $kind, self::AT_ONCE + 1)
            : $this->dated($rows, $column, $kind);

        return array_map(fn (array $one) => [StreamPlace::of($one[1], $kind, $one[0]), [$one[0]]], $read);
    }

    /**
     * @return array{list<array{StreamPlace, list<int>}>, StreamPlace|null} those of one day and one subject together, at the
     *                                                                      lowest of their numbers; and how far they
     *                                                                      were read, where there are more
     */
    private function changes(StreamFilter $filter): array
    {
        $rows = DB::table('changes')->whereIn('subject_id', $this->ids)->whereNull('log_entry_id')
            // Stages stand in lines of their own.
            ->when($filter === StreamFilter::All, fn (Rows $changes) => $changes->where('section', '!=', SectionName::Stage->value));
        $read = $this->timed($rows, StreamKind::Changes, self::MOST_CHANGES);
        $days = [];
        foreach ($read as [$id, $day, $subjectId]) {
            $key = "{$day->toIso()} $subjectId";
            $days[$key] ??= [$day, []];
            $days[$key][1][] = $id;
        }
        $isCut = count($read) === self::MOST_CHANGES;
        // The day that the last of them are of may have more than were read.
        if ($isCut && count($days) > 1) {
            array_pop($days);
        }
        $places = array_map(
            fn (array $one) => [StreamPlace::of($one[0], StreamKind::Changes, min($one[1])), $one[1]],
            array_values($days),
        );

        return [$places, $isCut ? $places[count($places) - 1][0] ?? null : null];
    }

    /** @return list<array{int, Day}> */
    private function dated(Rows $rows, string $column, StreamKind $kind): array
    {
        [$day, $id] = $this->before?->after($kind) ?? [null, null];
        if ($day !== null) {
            $rows->where($column, '<=', $day->toIso());
            if ($id !== null) {
                $rows->where(fn (Rows $either) => $either->where($column, '<', $day->toIso())->orWhere('id', '<', $id));
            }
        }
        $read = [];
        foreach ($rows->orderByDesc($column)->orderByDesc('id')->limit(self::AT_ONCE + 1)->pluck($column, 'id') as $number => $on) {
            $read[] = [(int) $number, Day::fromIso(is_string($on) ? $on : '')];
        }

        return $read;
    }

    /** @return list<array{int, Day, int}> of what happened at a moment, which is a day by the office's clock; and whose it is */
    private function timed(Rows $rows, StreamKind $kind, int $most): array
    {
        [$day, $id] = $this->before?->after($kind) ?? [null, null];
        if ($day !== null) {
            $rows->where('at', '<', Clock::beginningOf($day->plusDays(1))->toDateTimeString());
            if ($id !== null) {
                $rows->where(
                    fn (Rows $either) => $either->where('at', '<', Clock::beginningOf($day)->toDateTimeString())->orWhere('id', '<', $id),
                );
            }
        }
        $utc = new \DateTimeZone('UTC');
        $whose = $kind === StreamKind::Changes ? 'subject_id' : 'party_id';
        $read = [];
        /** @var object{id: int, at: string, whose: int} $row */
        foreach ($rows->orderByDesc('at')->orderByDesc('id')->limit($most)->get(['id', 'at', "$whose as whose"]) as $row) {
            $read[] = [$row->id, Clock::dayOf(new \DateTimeImmutable($row->at, $utc)), $row->whose];
        }

        return $read;
    }

    /**
     * @param list<array{StreamPlace, list<int>}> $shown
     *
     * @return list<StreamLineData>
     */
    private function lines(array $shown): array
    {
        $ids = [];
        foreach ($shown as [$place, $of]) {
            $ids[$place->kind->value] = [...$ids[$place->kind->value] ?? [], ...$of];
        }
        $read = [];
        foreach ($ids as $kind => $of) {
            $models = match (StreamKind::from($kind)) {
                StreamKind::Meeting => Meeting::query()->with('user', 'party', 'engagement')->findMany($of),
                StreamKind::Entry => LogEntry::query()->with('user', 'withParty', 'party')->findMany($of),
                StreamKind::Stage => EngagementMove::query()->with('user', 'stage', 'engagement')->findMany($of),
                StreamKind::Payment => Payment::query()->with('user', 'party')->findMany($of),
                StreamKind::Message => Message::query()->with('user', 'party')->findMany($of),
                StreamKind::Document => Document::query()->with('user', 'party')->findMany($of),
                StreamKind::Changes => Change::query()->with('user', 'party')->findMany($of),
            };
            $read[$kind] = $models->keyBy('id');
        }
        $lines = [];
        foreach ($shown as [$place, $of]) {
            $rows = array_values(array_filter(array_map(fn (int $id) => ($read[$place->kind->value] ?? null)?->get($id), $of)));
            $line = StreamLineData::of($place, $rows, $this->subject, $this->origin($rows[0] ?? null));
            if ($line !== null) {
                $lines[] = $line;
            }
        }

        return $lines;
    }

    /** The former record that something came from; empty for what was always its own. */
    private function origin(?Model $row): string
    {
        return match (true) {
            $row instanceof Change => $this->origins->ofSubject($row->subject_id),
            $row === null => '',
            default => $this->origins->ofRow($row->getTable(), (int) $row->getKey()),
        };
    }

    /** @return Builder<Message> */
    private function messages(): Builder
    {
        return $this->subject instanceof Engagement
            ? Message::query()->where(fn (Builder $its) => $its->where('engagement_id', $this->subject->id)
                ->orWhereIn('document_id', Document::query()->select('id')->where('engagement_id', $this->subject->id)))
            : Message::query()->whereIn('party_id', $this->ids);
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

    private function owned(Rows $rows): Rows
    {
        return $this->subject instanceof Engagement
            ? $rows->where('engagement_id', $this->subject->id)
            : $rows->whereIn('party_id', $this->ids);
    }
}
