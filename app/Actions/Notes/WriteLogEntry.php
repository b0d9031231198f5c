<?php

declare(strict_types=1);

namespace App\Actions\Notes;

use Almanac\Calendar\Day;
use Almanac\Records\LogKind;
use Almanac\Records\SectionName;
use Almanac\Records\Wording;
use App\Models\Change;
use App\Models\Engagement;
use App\Models\LogEntry;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Writes, pins and removes log entries; an entry takes its place in the stream of changes. */
final readonly class WriteLogEntry
{
    private const MAX_LENGTH = 5000;

    public function __construct(private TypedDates $dates, private Clock $clock)
    {
    }

    /**
     * @param array{kind: string, day: string, withPartyId: int|null, text: string, isPinned: bool} $input
     *
     * @throws ValidationException when nothing was written, or the day cannot be
     */
    public function write(SubjectModel $subject, array $input, User $by): LogEntry
    {
        $subject->assertInUse();
        $problems = new FieldProblems;
        $text = $problems->at('text', fn () => Wording::paragraphs($input['text'], self::MAX_LENGTH, 'Write what happened.'));
        $day = $this->dates->day($input['day'], 'day', $problems) ?? $this->clock->today();
        if ($input['withPartyId'] !== null && ! Party::query()->whereKey($input['withPartyId'])->exists()) {
            $problems->add('withPartyId', 'That person is no longer kept.');
        }
        $problems->throwIfAny();

        return DB::transaction(function () use ($subject, $input, $text, $day, $by): LogEntry {
            $entry = LogEntry::query()->create([
                'subject_id' => $subject->id,
                'kind' => LogKind::from($input['kind']),
                'happened_on' => $day,
                'with_party_id' => $input['withPartyId'],
                'text' => $text,
                'is_pinned' => $input['isPinned'],
                'user_id' => $by->id,
            ]);
            $this->place($subject, $entry->id, '', '', $by);

            return $entry;
        });
    }

    /**
     * Notes what was sent to somebody: in the log of their record; about a private case or project only in its own. Nothing
     * where that is archived.
     */
    public function sent(Party $party, ?Engagement $about, LogKind $kind, string $text, User $by, ?Day $day = null): void
    {
        $subject = $about?->is_private === true ? $about : $party;
        if (! $subject->isArchived()) {
            $this->write($subject, [
                'kind' => $kind->value, 'day' => $day?->toIso() ?? '',
                'withPartyId' => $subject === $party ? null : $party->id, 'text' => $text, 'isPinned' => false,
            ], $by);
        }
    }

    public function pin(LogEntry $entry, bool $isPinned): void
    {
        $entry->update(['is_pinned' => $isPinned]);
    }

    /** What an entry said stays in the change log. */
    public function remove(SubjectModel $subject, LogEntry $entry, User $by): void
    {
        DB::transaction(function () use ($subject, $entry, $by): void {
            Change::query()->where('log_entry_id', $entry->id)->delete();
            $this->place($subject, null, $entry->text, '', $by);
            $entry->delete();
        });
    }

    private function place(SubjectModel $subject, ?int $entryId, string $from, string $to, User $by): void
    {
        Change::query()->create([
            'subject_id' => $subject->id,
            'section' => SectionName::Log->value,
            'label' => 'Log entry',
            'from' => $from,
            'to' => $to,
            'user_id' => $by->id,
            'at' => $this->clock->now(),
            'log_entry_id' => $entryId,
        ]);
    }
}
