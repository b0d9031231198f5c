<?php

declare(strict_types=1);

namespace App\Facts\Merging;

use App\Models\FormerRecord;
use App\Models\MergeMove;
use App\Models\SubjectModel;

/** Which record something came from that stands with another by now, since the two were made one. */
final readonly class Origins
{
    /**
     * @param array<int, string> $names of the former records
     * @param array<string, array<int, int>> $from whose a row was, by table and number
     */
    private function __construct(private array $names, private array $from)
    {
    }

    public static function of(SubjectModel $subject): self
    {
        $names = [];
        foreach (FormerRecord::query()->where('kept_id', $subject->id)->get() as $former) {
            $names[$former->party_id] = "no. $former->number $former->name";
        }
        $from = [];
        if ($names !== []) {
            // Of one that came twice, it is the first that it came from.
            foreach (MergeMove::query()->whereIn('from_id', array_keys($names))->orderBy('merge_id')->get() as $move) {
                $from[$move->table] = ($from[$move->table] ?? []) + array_fill_keys($move->ids, $move->from_id);
            }
        }

        return new self($names, $from);
    }

    /** Empty for what was always its own. */
    public function ofRow(string $table, int $id): string
    {
        return $this->ofSubject($this->from[$table][$id] ?? 0);
    }

    public function ofSubject(int $id): string
    {
        return $this->names[$id] ?? '';
    }
}
