<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Database\ManyRows;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use App\Time\Clock;

/** Writes to the change log of a subject. Runs inside the transaction of the change. */
final readonly class LogChanges
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  list<Difference>  $differences */
    public function handle(SubjectModel $subject, SectionName $section, array $differences, User $by): void
    {
        $this->several([[$subject, $section, $differences]], $by);
    }

    /** What becomes of a record as a whole. */
    public function ofRecord(Party $party, string $what, User $by, string $before = ''): void
    {
        $this->ofRecords([[$party, $what]], $by, $before);
    }

    /**
     * The same of many.
     *
     * @param list<array{Party, string}> $became what of each
     */
    public function ofRecords(array $became, User $by, string $before = ''): void
    {
        $fact = fn (string $value) => ['record' => new LoggedFact('Record', $value)];
        $this->several(array_map(
            fn (array $one) => [$one[0], SectionName::Identity, Difference::between($fact($before), $fact($one[1]))],
            $became,
        ), $by);
    }

    /** @param  list<array{SubjectModel, SectionName, list<Difference>}>  $changed */
    public function several(array $changed, User $by): void
    {
        $at = $this->clock->now();
        $rows = [];
        foreach ($changed as [$subject, $section, $differences]) {
            foreach ($differences as $difference) {
                $rows[] = [
                    'subject_id' => $subject->id,
                    'section' => $section->value,
                    'key' => $difference->key,
                    'label' => $difference->label,
                    'from' => $difference->from,
                    'to' => $difference->to,
                    'user_id' => $by->id,
                    'at' => $at,
                ];
            }
        }
        ManyRows::insert('changes', $rows);
    }
}
