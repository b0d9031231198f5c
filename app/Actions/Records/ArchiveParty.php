<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Wording;
use App\Actions\Finding\IndexParties;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes a record out of use, or back into it. An archived record stays whole, and is found when searched. */
final readonly class ArchiveParty
{
    private const MAX_REASON = 200;

    public function __construct(private LogChanges $log, private IndexParties $index, private Clock $clock)
    {
    }

    /** @throws ValidationException when no reason is given */
    public function archive(Party $party, string $reason, User $by): void
    {
        $problems = new FieldProblems;
        $why = $problems->at('reason', fn () => Wording::line(
            $reason,
            self::MAX_REASON,
            'Say in a few words why, such as “closed its business”.',
        ));
        $problems->throwIfAny();
        DB::transaction(function () use ($party, $why, $by): void {
            $party->refresh();
            if (! $party->isArchived()) {
                $party->update(['archived_on' => $this->clock->today(), 'archive_reason' => $why ?? '']);
                $this->log($party, 'in use', 'archived: '.$party->archive_reason, $by);
            }
        });
    }

    public function restore(Party $party, User $by): void
    {
        DB::transaction(function () use ($party, $by): void {
            $party->refresh();
            if ($party->isArchived()) {
                $was = 'archived: '.$party->archive_reason;
                $party->update(['archived_on' => null, 'archive_reason' => '']);
                $this->log($party, $was, 'in use', $by);
            }
        });
    }

    private function log(Party $party, string $from, string $to, User $by): void
    {
        DB::table('balances')->where('party_id', $party->id)->update(['is_in_use' => ! $party->isArchived()]);
        $this->index->withNeighbours($party);
        $this->log->ofRecord($party, $to, $by, $from);
    }
}
