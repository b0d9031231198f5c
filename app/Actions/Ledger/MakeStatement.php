<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Terms\Side;
use App\Background\PrintStatement;
use App\Facts\Ledger\AccountStatements;
use App\Models\Job;
use App\Models\Party;
use App\Models\User;
use App\Papers\StatementPaper;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;

/** Puts a long statement on paper behind the screen. */
final readonly class MakeStatement
{
    /** What is made at once for one person; more would only wait for each other. */
    private const MOST = 3;

    public function __construct(private AccountStatements $read, private StatementPaper $paper)
    {
    }

    /**
     * @param array{side: string, currency: string, from: string, to: string} $input
     *
     * @throws ValidationException when the days cannot be read, or when too much is under way
     */
    public function begin(Party $party, array $input, User $by): Job
    {
        $lines = $this->read->count($party, Side::from($input['side']), $input['currency'], $input['from'], $input['to']);
        if (Job::runningFor($by, Job::STATEMENT)->count() >= self::MOST) {
            throw ValidationException::withMessages(['from' => self::MOST.' statements are being made for you. Wait until one is ready.']);
        }
        $job = Job::query()->create([
            'user_id' => $by->id,
            'party_id' => $party->id,
            'title' => "Statement-{$party->display_name}.pdf",
            'input' => $input,
            'total' => $lines,
        ]);
        PrintStatement::dispatch($job->id);

        return $job;
    }

    /** Whatever it fails for, it says so. */
    public function make(Job $job): void
    {
        try {
            ['side' => $side, 'currency' => $currency, 'from' => $from, 'to' => $to] = $job->input
                + ['side' => '', 'currency' => '', 'from' => '', 'to' => ''];
            $party = $job->party ?? throw new \LogicException('A statement is of somebody.');
            $statement = $this->read->of($party, Side::from($side), $currency, $from, $to);
            $pdf = $this->paper->pdf($party, Side::from($side), $statement, function (int $done) use ($job): void {
                $job->update(['done' => $done]);
            });
            $path = 'jobs/'.bin2hex(random_bytes(16)).'.pdf';
            Storage::put($path, $pdf);
            $job->update(['state' => Job::READY, 'done' => $job->total, 'path' => $path]);
        } catch (\Throwable $failure) {
            report($failure);
            $job->update([
                'state' => Job::FAILED,
                'failure' => $failure instanceof ValidationException
                        ? $failure->getMessage()
                        : 'It could not be made. Try again; choose a shorter period if it fails again.',
            ]);
        }
    }
}
