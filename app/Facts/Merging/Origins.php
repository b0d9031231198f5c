<?php

declare(strict_types=1);

namespace App\Facts\Merging;

use App\Models\FormerRecord;
use App\Models\MergeMove;
use App\Models\SubjectModel;

/** Which record something came from that stands with another by now, since the two were made one. */
final readonly class Origins
{
    /** @param  array<int, string>  $names  of the former records, by their numbers */
    private function __construct(private int $subjectId, private array $names)
    {
    }

    public static function of(SubjectModel $subject): self
    {
        $names = [];
        foreach (FormerRecord::query()->where('kept_id', $subject->id)->orderBy('party_id')->get() as $former) {
            $names[$former->party_id] = "no. $former->number $former->name";
        }

        return new self($subject->id, $names);
    }

    /** @return list<int> the numbers under which what was told of it stands: its own, and those of what it was made one from */
    public function subjectIds(): array
    {
        return [$this->subjectId, ...array_keys($this->names)];
    }

    /** Empty for what was always its own. */
    public function ofRow(string $table, int $id): string
    {
        return $this->names === [] ? '' : $this->ofSubject($this->moved()[$table][$id] ?? 0);
    }

    public function ofSubject(int $id): string
    {
        return $this->names[$id] ?? '';
    }

    /** @return array<string, array<int, int>> whose a row was, by table and number */
    private function moved(): array
    {
        return once(function (): array {
            $from = [];
            // Of one that came twice, it is the first that it came from.
            foreach (MergeMove::query()->whereIn('from_id', array_keys($this->names))->orderBy('merge_id')->get() as $move) {
                $from[$move->table] = ($from[$move->table] ?? []) + array_fill_keys($move->ids, $move->from_id);
            }

            return $from;
        });
    }
}
