<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use Almanac\Records\StreamKind;
use Almanac\Records\StreamPlace;
use Almanac\Terms\Side;
use App\Http\Data\Notes\LogEntryData;
use App\Models\Change;
use App\Models\Document;
use App\Models\EngagementMove;
use App\Models\LogEntry;
use App\Models\Meeting;
use App\Models\Message;
use App\Models\Model;
use App\Models\Payment;
use App\Models\SubjectModel;
use App\Time\Clock;
use OpenApi\Attributes as OA;

/** One line of a history: what it tells of, and what it opens. */
#[OA\Schema(schema: 'StreamLine')]
final readonly class StreamLineData
{
    /** @param  list<ChangeData>  $changes */
    private function __construct(
        #[OA\Property(description: 'The same line has the same.')]
        public string $key,
        #[OA\Property(enum: ['changes', 'document', 'message', 'payment', 'stage', 'entry', 'meeting'])]
        public string $kind,
        #[OA\Property]
        public int $year,
        #[OA\Property]
        public string $dayText,
        #[OA\Property(description: 'For reading; empty of an entry, which has its own.')]
        public string $text,
        #[OA\Property]
        public string $by,
        #[OA\Property(
            description: 'What it opens: a document, a payment, a case or a project, a message. Null where it opens nothing.',
            nullable: true,
        )]
        public ?int $opensId,
        #[OA\Property(
            description: 'Whose it is, where it is of somebody else than is read.',
            ref: '#/components/schemas/SubjectLink',
            nullable: true,
        )]
        public ?SubjectLinkData $of,
        #[OA\Property(ref: '#/components/schemas/LogEntry', nullable: true)]
        public ?LogEntryData $entry,
        #[OA\Property(description: 'Of one day, the newest first.', items: new OA\Items(ref: '#/components/schemas/Change'))]
        public array $changes,
        #[OA\Property(description: 'The record that it came from, where that was made one with this one; else empty.')]
        public string $from,
    ) {
    }

    /**
     * @param list<Model> $rows what stands there: several changes of one day, or one of anything else
     * @param string $from the former record that it came from; empty where there is none
     *
     * @return self|null null where it has gone in the meantime
     */
    public static function of(StreamPlace $place, array $rows, SubjectModel $near, string $from = ''): ?self
    {
        $line = self::ofRows($place, $rows, $near);

        return $line === null || $from === '' ? $line : new self(...[...get_object_vars($line), 'from' => $from]);
    }

    /** @param  list<Model>  $rows */
    private static function ofRows(StreamPlace $place, array $rows, SubjectModel $near): ?self
    {
        $row = $rows[0] ?? null;

        return match (true) {
            $row instanceof LogEntry => self::entry($row, $near),
            $row instanceof EngagementMove => self::stage($row, $near),
            $row instanceof Payment => self::payment($row, $near),
            $row instanceof Document => self::document($row, $near),
            $row instanceof Message => self::message($row, $near),
            $row instanceof Meeting => self::meeting($row, $near),
            $row instanceof Change => self::changes(
                $place,
                array_values(array_filter($rows, fn (Model $change) => $change instanceof Change)),
                self::other($row->party, $near),
            ),
            default => null,
        };
    }

    private static function entry(LogEntry $entry, SubjectModel $near): self
    {
        return self::line(
            StreamKind::Entry, $entry->id, $entry->happened_on, '', $entry->user->name, null,
            self::other($entry->party, $near), LogEntryData::of($entry),
        );
    }

    private static function stage(EngagementMove $move, SubjectModel $near): self
    {
        return self::line(
            StreamKind::Stage,
            $move->id,
            $move->moved_on,
            'Stage: '.$move->stage->name.($move->reason === '' ? '' : ': '.$move->reason),
            $move->user->name,
            $move->engagement_id === $near->id ? null : $move->engagement_id,
            self::other($move->engagement, $near),
        );
    }

    private static function meeting(Meeting $meeting, SubjectModel $near): self
    {
        return self::line(
            StreamKind::Meeting,
            $meeting->id,
            $meeting->held_on,
            "Meeting: $meeting->title, $meeting->time, {$meeting->state->title()}",
            $meeting->user->name,
            $meeting->id,
            self::other($meeting->subject(), $near),
        );
    }

    private static function payment(Payment $payment, SubjectModel $near): self
    {
        return self::line(
            StreamKind::Payment,
            $payment->id,
            $payment->paid_on,
            ($payment->side === Side::Client ? 'Payment received' : 'Payment made').', '.$payment
                ->amount()->toText().($payment->is_void ? ', void' : ''),
            $payment->user->name,
            $payment->id,
            self::other($payment->party, $near),
        );
    }

    private static function document(Document $document, SubjectModel $near): self
    {
        return self::line(
            StreamKind::Document,
            $document->id,
            $document->dated_on,
            "{$document->title()}, {$document->total()->toText()}, {$document->state->words($document->kind)}",
            $document->user->name,
            $document->id,
            self::other($document->party, $near),
        );
    }

    private static function message(Message $message, SubjectModel $near): self
    {
        return self::line(
            StreamKind::Message,
            $message->id,
            Clock::dayOf($message->at),
            "Message to $message->to: $message->subject",
            $message->user->name,
            $message->id,
            self::other($message->party, $near),
        );
    }

    /** @param  list<Change>  $changes */
    private static function changes(StreamPlace $place, array $changes, ?SubjectLinkData $of): self
    {
        $sections = array_map(fn (Change $change) => SectionName::from($change->section)->title(), $changes);
        $by = array_map(fn (Change $change) => $change->user->name, $changes);

        return self::line(
            StreamKind::Changes,
            $place->id,
            $place->day,
            'Changed: '.implode(', ', array_unique($sections)),
            implode(', ', array_unique($by)),
            null,
            $of,
            null,
            array_map(ChangeData::of(...), $changes),
        );
    }

    /** @param  list<ChangeData>  $changes */
    private static function line(
        StreamKind $kind,
        int $id,
        Day $day,
        string $text,
        string $by,
        ?int $opensId,
        ?SubjectLinkData $of,
        ?LogEntryData $entry = null,
        array $changes = [],
    ): self {
        return new self("{$kind->code()}-$id", $kind->code(), $day->year, $day->toText(), $text, $by, $opensId, $of, $entry, $changes, '');
    }

    private static function other(?SubjectModel $subject, SubjectModel $near): ?SubjectLinkData
    {
        return $subject === null || $subject->id === $near->id ? null : SubjectLinkData::of($subject);
    }
}
