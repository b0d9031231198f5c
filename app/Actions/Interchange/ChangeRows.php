<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Bulk\BulkRefused;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\RowChanges;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\SectionName;
use Almanac\Refusal;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\Sections;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowOfParty;
use App\Models\Party;
use App\Models\User;
use Illuminate\Validation\ValidationException;

/** Makes records of the book what the lines of a file say. Runs inside a transaction. */
final readonly class ChangeRows
{
    public function __construct(
        private Sections $sections,
        private RowSections $inputs,
        private RowBesides $besides,
        private SaveSection $save,
    ) {
    }

    /**
     * @param array<int, array{int, PartyRow, OnExisting}> $rows the record and what is told of it, by line
     * @param array<string, int> $companies at which they work, by the keys of their names
     * @param bool $takesNewWords whether types that are not in the list are added to it
     *
     * @return array<int, int|\Throwable|null> the state that takes it back, by line; null when no section is different. Those
     *                                         are missing that go on from one before them
     *
     * @throws Refusal|ValidationException when what is no section of somebody cannot be taken: then nobody is another
     */
    public function handle(array $rows, array $companies, bool $takesNewWords, User $by): array
    {
        $reads = [...RowOfParty::RELATIONS, ...$this->sections->reads()];
        $parties = Party::query()->with($reads)->findMany(array_column($rows, 0))->keyBy('id');
        $terms = OfficeReading::terms();
        $came = $besides = $saves = [];
        foreach ($rows as $line => [$id, $row, $how]) {
            try {
                $party = $parties->get($id) ?? throw BulkRefused::isGone();
                $party->assertInUse();
                $changes = RowChanges::between(RowOfParty::of($party, $terms), $row, $how);
                $inputs = $changes === null ? [] : $this->inputs($party, $changes, $companies, $takesNewWords);
                $inputs === [] ? $came[$line] = null : $saves[$line] = [$party, $inputs];
                if ($changes !== null) {
                    $besides[$line] = [$party, $changes->added];
                }
            } catch (Refusal|ValidationException|ArchivedRecord $why) {
                $came[$line] = $why;
            }
        }
        $came += $this->save->several($saves, $by);
        foreach (array_intersect_key($besides, array_filter($came, fn (mixed $one) => ! $one instanceof \Throwable)) as [$party, $added]) {
            $this->besides->handle($party, $added, $by);
        }

        return $came;
    }

    /**
     * @param array<string, int> $companies at which they work, by the keys of their names
     *
     * @return list<array{Section, array<string, mixed>}>
     */
    private function inputs(Party $party, RowChanges $changes, array $companies, bool $takesNewWords): array
    {
        $inputs = [];
        foreach ($this->inputs->of($party, $changes->added, $takesNewWords, $changes->moved, $changes->held, $companies) as $name => $input) {
            $section = $this->sections->named(SectionName::from($name)) ?? throw new \LogicException("There is no section $name.");
            $inputs[] = [$section, $input];
        }

        return $inputs;
    }
}
