<?php

declare(strict_types=1);

namespace App\Actions\Mailing;

use Almanac\Bulk\BulkRefused;
use Almanac\Mailing\Addressee;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LetterOutcome;
use Almanac\Mailing\LettersState;
use Almanac\Mailing\MailingRefused;
use Almanac\Records\LogKind;
use Almanac\Refusal;
use App\Actions\Bulk\InTheirName;
use App\Actions\Notes\WriteLogEntry;
use App\Database\LongWork;
use App\Facts\Mailing\Addressees;
use App\Facts\Mailing\LetterWriter;
use App\Facts\Mailing\WrittenLetter;
use App\Models\Letter;
use App\Models\LetterRun;
use App\Models\Party;
use App\Models\User;
use App\Outside\Outbox;
use App\Papers\LetterPaper;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Mime\Exception\ExceptionInterface;

/**
 * Writes letters to many: first who gets one, and with whom; then a few letters at a time, each few a transaction of its
 * own; then, of letters on paper, the file. What has an outcome is not written again, whenever it is begun anew.
 */
final readonly class WriteLetters
{
    /** So many are judged, or written, in about a tenth of a second. */
    private const FEW = 20;

    public function __construct(
        private Addressees $addressees,
        private Outbox $outbox,
        private WriteLogEntry $log,
        private LetterPaper $paper,
        private Clock $clock,
    ) {
    }

    public function handle(LetterRun $run): void
    {
        try {
            LongWork::steps(fn () => $this->step($run->refresh()));
            if ($run->refresh()->state === LettersState::Writing) {
                $this->finish($run);
            }
        } catch (\Throwable $failure) {
            if (! $failure instanceof Refusal) {
                report($failure);
            }
            $run->refresh()->update([
                'state' => LettersState::Failed,
                'failure' => $failure instanceof Refusal ? $failure->getMessage() : 'Something went wrong. What is written stays; try again.',
                'ended_at' => $this->clock->now(),
            ]);
        }
    }

    /** @return bool whether there is more to do */
    private function step(LetterRun $run): bool
    {
        if (! $run->state->isUnderWay()) {
            return false;
        }
        $by = InTheirName::of($run->user_id);
        if ($run->engagement_id !== null && $run->engagement === null) {
            throw MailingRefused::caseIsGone($by->name);
        }
        $run->update(['state' => LettersState::Writing]);
        $waiting = fn () => $run->letters()->where('outcome', LetterOutcome::Waiting);
        $unknown = $waiting()->whereNull('shared_by')->limit(self::FEW)->get();
        if ($unknown->isNotEmpty()) {
            $this->judge($run, $unknown);

            return true;
        }
        $shared = $waiting()->limit(self::FEW)->pluck('shared_by')->unique()->all();
        if ($shared === []) {
            return false;
        }
        $letters = $waiting()->whereIn('shared_by', $shared)->get();
        // Who may be written to is asked again: a moment has gone by.
        $known = $this->read($run, $letters);
        $parties = Party::query()->findMany($letters->pluck('record_id'))->keyBy('id')->all();
        $writer = LetterWriter::of($run->subject, $run->body, $run->engagement, $run->dated_on, $by);
        foreach ($letters->groupBy('shared_by') as $group) {
            $this->write($run, $group, $known, $parties, $writer, $by);
        }

        return true;
    }

    /** @param  Collection<int, Letter>  $letters */
    private function judge(LetterRun $run, Collection $letters): void
    {
        $known = $this->read($run, $letters);
        foreach ($letters as $letter) {
            $addressee = $this->reachable($letter, $known);
            if ($addressee !== null) {
                $letter->update(['shared_by' => $addressee->sharedBy($run->is_once_a_household)]);
            }
        }
    }

    /**
     * Who cannot be written to is left out.
     *
     * @param array<int, Addressee> $known by record
     */
    private function reachable(Letter $letter, array $known): ?Addressee
    {
        $addressee = $known[$letter->record_id] ?? null;
        if ($addressee !== null && $addressee->why === '') {
            return $addressee;
        }
        $letter->update([
            'outcome' => LetterOutcome::LeftOut,
            'why' => mb_strimwidth($addressee->why ?? BulkRefused::isGone()->getMessage(), 0, 250, '…'),
        ]);

        return null;
    }

    /**
     * @param Collection<int, Letter> $group all who get one envelope
     * @param array<int, Addressee> $known by record
     * @param array<int, Party> $parties by record
     */
    private function write(LetterRun $run, Collection $group, array $known, array $parties, LetterWriter $writer, User $by): void
    {
        $to = array_values(array_filter($group->map(fn (Letter $letter) => $this->reachable($letter, $known))->all()));
        if ($to === []) {
            return;
        }
        $written = $writer->write(Envelope::of($to), $parties[$to[0]->id]);
        $why = $run->way->isEmail() ? $this->send($run, $written, $parties[$to[0]->id], $by) : '';
        foreach ($group->whereIn('record_id', array_column($to, 'id'))->values() as $at => $letter) {
            $letter->update($why === ''
                ? ['outcome' => LetterOutcome::Written, 'content' => $at === 0 ? $written->toKeep() : null]
                : ['outcome' => LetterOutcome::LeftOut, 'why' => $why]);
            if ($why === '') {
                $this->note($run, $parties[$letter->record_id], $written, $by);
            }
        }
    }

    /** @return string why it could not be sent; empty where it was */
    private function send(LetterRun $run, WrittenLetter $written, Party $party, User $by): string
    {
        try {
            $message = $this->outbox->begin($written->to, $written->subject, $by)->text($written->body)->toString();
        } catch (ExceptionInterface) {
            return 'the email is written in a way that email from here cannot reach';
        }
        $this->outbox->put($party, null, $written->to, $written->subject, $message, $by, $run->engagement_id);

        return '';
    }

    private function note(LetterRun $run, Party $party, WrittenLetter $written, User $by): void
    {
        $about = $written->subject === '' ? '' : ": $written->subject";
        if ($run->way->isEmail()) {
            $this->log->sent($party, $run->engagement, LogKind::Email, "Sent$about, to ".implode(', ', $written->to).'.', $by);
        } else {
            $this->log->sent($party, $run->engagement, LogKind::Letter, "Written$about.", $by, $run->dated_on);
        }
    }

    /**
     * @param Collection<int, Letter> $letters
     *
     * @return array<int, Addressee> by record
     */
    private function read(LetterRun $run, Collection $letters): array
    {
        return array_column(iterator_to_array($this->addressees->of($letters->pluck('record_id'), $run->way), false), null, 'id');
    }

    /** The paper takes long: nobody waits for it. */
    private function finish(LetterRun $run): void
    {
        $path = null;
        $letters = $run->way->isEmail() ? [] : $this->written($run);
        if ($letters !== []) {
            [$content, $ending] = $this->paper->of($letters, $run->way, $run->dated_on);
            $path = 'letters/'.bin2hex(random_bytes(16)).".$ending";
            Storage::put($path, $content);
        }
        LongWork::step(function () use ($run, $path): void {
            if ($run->refresh()->state === LettersState::Writing) {
                $run->update(['state' => LettersState::Done, 'path' => $path, 'ended_at' => $this->clock->now()]);
            } elseif ($path !== null) {
                Storage::delete($path);
            }
        });
    }

    /** @return list<WrittenLetter> */
    private function written(LetterRun $run): array
    {
        $written = [];
        foreach ($run->letters()->whereNotNull('content')->get() as $letter) {
            if ($letter->content !== null) {
                $written[] = WrittenLetter::kept($letter->content);
            }
        }

        return $written;
    }
}
