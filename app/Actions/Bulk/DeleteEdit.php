<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkRefused;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Records\DeleteParty;
use App\Models\Party;
use App\Models\User;
use App\Register\Hold;
use App\Register\PartyReferences;
use Illuminate\Support\Facades\DB;

/** Deletes records that nothing refers to; taken back, each is there again with all that was its own. */
final readonly class DeleteEdit implements BulkAct
{
    public function __construct(private DeleteParty $delete, private IndexParties $index, private KeepStandings $standings)
    {
    }

    public function title(): string
    {
        return 'Delete';
    }

    public function isSo(): null
    {
        return null;
    }

    public function isForUsed(): ?bool
    {
        return null;
    }

    public function apply(Party $party, User $by): string
    {
        if ($party->files()->exists()) {
            throw BulkRefused::hasFiles();
        }
        $rows = [];
        foreach (['subjects' => 'id', 'parties' => 'id', ...$this->owned()] as $table => $column) {
            foreach (DB::table($table)->where($column, $party->id)->get() as $row) {
                $rows[$table][] = (array) $row;
            }
        }
        $this->delete->handle($party, $by);

        return json_encode($rows, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    public function takeBack(?Party $party, string $wayBack, User $by): void
    {
        /** @var array<string, list<array<string, mixed>>> $rows */
        $rows = json_decode($wayBack, true, flags: JSON_THROW_ON_ERROR);
        $number = $rows['parties'][0]['number'] ?? 0;
        if ($party !== null || Party::query()->where('number', $number)->exists()) {
            throw BulkRefused::numberTaken(is_numeric($number) ? (int) $number : 0);
        }
        $id = $rows['parties'][0]['id'] ?? 0;
        $tables = array_keys($rows);
        // What others point into comes before them, as it is taken away after them.
        DB::statement('PRAGMA defer_foreign_keys = ON');
        foreach ($tables as $table) {
            foreach ($rows[$table] as $row) {
                DB::table($table)->insertOrIgnore($row);
            }
        }
        $this->index->these([is_numeric($id) ? (int) $id : 0]);
        $this->standings->refresh(is_numeric($id) ? (int) $id : 0);
    }

    /** @return array<string, string> the columns that say whose a row is, by table */
    private function owned(): array
    {
        $owned = [];
        foreach (PartyReferences::all() as $reference) {
            if ($reference->hold === Hold::Owned) {
                $owned[$reference->table] ??= $reference->column;
            }
        }

        return $owned;
    }
}
