<?php

declare(strict_types=1);

namespace App\Actions\Mailing;

use Almanac\Bulk\BulkRefused;
use Almanac\Mailing\LetterOutcome;
use Almanac\Mailing\LettersState;
use Almanac\Mailing\LetterWay;
use Almanac\Mailing\Mailing;
use Almanac\Mailing\MailingRefused;
use App\Background\WriteLettersOfRun;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\PartyList;
use App\Facts\Mailing\TypedLetter;
use App\Models\Engagement;
use App\Models\LetterRun;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;

/** Begins a letter to many, stops it, goes on with it, forgets it; the writing itself waits for the worker. */
final readonly class RunLetters
{
    public function __construct(private Clock $clock, private TypedDates $dates)
    {
    }

    /**
     * @param array{subject: string, body: string, way: string, isOnceAHousehold: bool, day: string, engagementId: int|null} $input
     *
     * @throws ValidationException when the letter cannot be written
     * @throws MailingRefused when nobody is chosen, or more than a thousand are
     * @throws BulkRefused when the sentence of the list is not understood
     */
    public function begin(Chosen $chosen, array $input, User $by): LetterRun
    {
        return DB::transaction(function () use ($chosen, $input, $by): LetterRun {
            $problems = new FieldProblems;
            if ($input['engagementId'] !== null && Engagement::query()->whereKey($input['engagementId'])->doesntExist()) {
                $problems->add('engagementId', 'That case or project is no longer there.');
            }
            $typed = TypedLetter::read($input, $this->dates, $problems, $by);
            if ($input['way'] === LetterWay::Email->value && trim($input['subject']) === '') {
                $problems->add('subject', 'An email needs a subject.');
            }
            $problems->throwIfAny();
            $run = LetterRun::query()->create([
                'user_id' => $by->id,
                'engagement_id' => $typed->engagement?->id,
                'subject' => trim($input['subject']),
                'body' => rtrim($input['body']),
                'way' => LetterWay::from($input['way']),
                'is_once_a_household' => $input['isOnceAHousehold'],
                'dated_on' => $typed->day,
                'state' => LettersState::Waiting,
                'created_at' => $this->clock->now(),
            ]);
            $list = new PartyList($this->clock, $chosen->wanted(), $by);
            $rows = $list->chosen($chosen)
                ->selectRaw('? as letter_run_id, v.party_id as record_id, parties.file_as as name', [$run->id])
                ->selectRaw('row_number() over (order by v.collated, v.party_id) as rank, ? as outcome', [LetterOutcome::Waiting->value])
                ->join('parties', 'parties.id', '=', 'v.party_id')
                ->limit(Mailing::MOST_LETTERS + 1);
            Mailing::mustBeWritable(DB::table('letters')->insertUsing(['letter_run_id', 'record_id', 'name', 'rank', 'outcome'], $rows));
            WriteLettersOfRun::dispatch($run->id);

            return $run;
        });
    }

    /** What is written of it stays written. */
    public function stop(LetterRun $run): void
    {
        DB::transaction(function () use ($run): void {
            if ($run->refresh()->state->isUnderWay()) {
                $run->update(['state' => LettersState::Stopped, 'ended_at' => $this->clock->now()]);
            }
        });
    }

    /** @throws MailingRefused when there is nothing to go on with */
    public function goOn(LetterRun $run): void
    {
        DB::transaction(function () use ($run): void {
            if (! $run->refresh()->state->mayGoOn()) {
                throw MailingRefused::notNow($run->state->title());
            }
            $run->update(['state' => LettersState::Waiting, 'failure' => '', 'ended_at' => null]);
            WriteLettersOfRun::dispatch($run->id);
        });
    }

    /**
     * Its file and its list go; what stands in the logs and in the outbox stays.
     *
     * @throws MailingRefused while somebody works on it
     */
    public function forget(LetterRun $run): void
    {
        DB::transaction(function () use ($run): void {
            if ($run->refresh()->state->isUnderWay()) {
                throw MailingRefused::notNow($run->state->title());
            }
            $run->delete();
            if ($run->path !== null) {
                DB::afterCommit(fn () => Storage::delete($run->path));
            }
        });
    }
}
