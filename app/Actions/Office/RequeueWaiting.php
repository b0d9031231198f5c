<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Bulk\BulkState;
use Almanac\Interchange\ImportState;
use Almanac\LookAlikes\ScanState;
use Almanac\Mailing\LettersState;
use Almanac\Mailing\MessageState;
use App\Background\PackBook;
use App\Background\PrintStatement;
use App\Background\ReadImport;
use App\Background\ScanLookAlikes;
use App\Background\SendMessage;
use App\Background\WorkOnBulkChange;
use App\Background\WriteLettersOfRun;
use App\Database\Ids;
use App\Models\BulkChange;
use App\Models\Import;
use App\Models\Job;
use App\Models\LetterRun;
use App\Models\LookAlikeScan;
use App\Models\Message;
use Illuminate\Support\Facades\DB;

/** Queues again what is waiting or half done and has no task in the queue; what failed for good stays with the failed tasks. */
final readonly class RequeueWaiting
{
    /** @return int how many tasks were queued */
    public function handle(): int
    {
        return DB::transaction(function (): int {
            $queued = 0;
            foreach ($this->waiting() as $task => $ids) {
                foreach ($ids as $id) {
                    if (! $this->isKnown('queued_work', $task, $id) && ! $this->isKnown('failed_jobs', $task, $id)) {
                        dispatch(new $task($id));
                        $queued++;
                    }
                }
            }

            return $queued;
        });
    }

    /** @return array<class-string, list<int>> */
    private function waiting(): array
    {
        $jobs = fn (string $kind): array => Ids::of(Job::query()->where(['kind' => $kind, 'state' => Job::RUNNING])->pluck('id'));

        return [
            ReadImport::class => Ids::of(Import::query()->whereIn('state', [
                ImportState::Reading, ImportState::Checking, ImportState::Taking, ImportState::Counting, ImportState::TakingBack,
            ])->pluck('id')),
            WorkOnBulkChange::class => Ids::of(
                BulkChange::query()->whereIn('state', [BulkState::Waiting, BulkState::Running, BulkState::TakingBack])->pluck('id'),
            ),
            WriteLettersOfRun::class => Ids::of(LetterRun::query()->whereIn('state', [LettersState::Waiting, LettersState::Writing])->pluck('id')),
            ScanLookAlikes::class => Ids::of(LookAlikeScan::query()->whereIn('state', [ScanState::Waiting, ScanState::Running])->pluck('id')),
            SendMessage::class => Ids::of(Message::query()->whereIn('state', [MessageState::Waiting, MessageState::Sending])->pluck('id')),
            PackBook::class => $jobs(Job::ARCHIVE),
            PrintStatement::class => $jobs(Job::STATEMENT),
        ];
    }

    /** Tasks are kept serialized: each is about one number. */
    private function isKnown(string $table, string $task, int $id): bool
    {
        return DB::table($table)->where('payload', 'like', '%'.class_basename($task).'%')->where('payload', 'like', "%Id\\\";i:$id;%")->exists();
    }
}
