<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\PartyRow;
use Almanac\Refusal;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\LogChanges;
use App\Actions\Records\NewRecords;
use App\Actions\Records\NewStaff;
use App\Actions\Records\Sections;
use App\Facts\Interchange\MatchRows;
use App\Facts\Records\Ancestors;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Validation\ValidationException;

/** Adds the people and companies of several lines of a file, each with all that it has. Runs inside a transaction. */
final readonly class AddRows
{
    public function __construct(
        private Sections $sections,
        private RowSections $inputs,
        private RowBesides $besides,
        private NewStaff $staff,
        private LogChanges $log,
        private IndexParties $index,
        private Clock $clock,
    ) {
    }

    /**
     * @param array<int, PartyRow> $rows by line
     * @param string $from what they come in with
     * @param int $reserved up to which numbers are for those of the file that have one
     *
     * @return array<int, AddedRow|Refusal|ValidationException> what came of each, by line
     *
     * @throws Refusal|ValidationException when what is no section of somebody cannot be taken: then nobody is in the book
     */
    public function handle(array $rows, string $from, int $reserved, bool $takesNewWords, User $by): array
    {
        if ($rows === []) {
            return [];
        }
        $companies = $this->companies($rows);
        $records = new NewRecords($this->clock->now(), $reserved);
        $begun = (new BeginRows($this->sections, $this->inputs, $records, $companies, $takesNewWords))->all($rows);
        $added = array_filter($begun, fn ($one) => $one instanceof AddedRow);
        foreach ($added as $line => $one) {
            array_map($records->take(...), $one->made);
            $records->take($one->party, (int) $rows[$line]->value('number'));
        }
        $new = $records->write();
        $this->log->ofRecords(array_values($new->map(
            fn (Party $party) => [$party, mb_strimwidth("added as $party->display_name, from $from", 0, 500, '…')],
        )->all()), $by);
        $this->staff->handle($companies, $new, $by);
        $this->index->added($new);
        foreach ($added as $line => $one) {
            $this->besides->handle($one->party, $rows[$line], $by);
        }

        return $begun;
    }

    /**
     * Companies of the book at which somebody of them works.
     *
     * @param array<int, PartyRow> $rows
     *
     * @return array<string, Party> by the keys of their names
     */
    private function companies(array $rows): array
    {
        $ids = MatchRows::companies(MatchRows::employers($rows));
        $companies = Party::query()->with(Ancestors::READS)->findMany($ids)->keyBy('id');

        return array_filter(array_map(fn (int $id) => $companies->get($id), $ids));
    }
}
