<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use App\Database\ManyRows;
use Illuminate\Support\Facades\DB;

/** Rows of what is looked up that are written together. */
final class NewRows
{
    private const WORDS = 500;

    /** @var array<string, list<array<string, mixed>>> by table */
    private array $rows = [];

    /** @var array<int, true> by record */
    private array $due = [];

    /** @var array<string, true> */
    private array $words = [];

    /** @var list<int> records whose words were there already */
    private array $former = [];

    /** @param  array<string, mixed>  $row  with the columns of the others of its table */
    public function add(string $table, array $row): void
    {
        $this->rows[$table][] = $row;
    }

    /** Its words are written anew. */
    public function replaceWords(int $partyId): void
    {
        $this->former[] = $partyId;
    }

    /** It is to be compared with the others; one that waits already need not wait twice. */
    public function compare(int $partyId): void
    {
        $this->due[$partyId] = true;
    }

    /**
     * Words that are in use, for finding what is spelled alike. One that nobody has any more leads to nobody, and goes
     * when everything is indexed.
     *
     * @param array<string> $words
     */
    public function learn(array $words): void
    {
        $this->words += array_fill_keys($words, true);
    }

    public function write(): void
    {
        KeptIndex::forgetWords(...$this->former);
        foreach ($this->rows as $table => $rows) {
            ManyRows::insert($table, $rows);
        }
        DB::table('look_alike_due')->insertOrIgnore(array_map(fn (int $id) => ['party_id' => $id], array_keys($this->due)));
        foreach (array_chunk(array_map(strval(...), array_keys($this->words)), self::WORDS) as $some) {
            $known = DB::table('search_vocabulary')->whereIn('word', $some)->pluck('word')->all();
            $new = array_values(array_diff($some, $known));
            DB::table('search_vocabulary')->insert(array_map(fn (string $word) => ['word' => $word], $new));
            DB::table('search_spellings')->insert(DB::table('search_vocabulary')->whereIn('word', $new)->get(['id', 'word'])
                ->map(fn (object $row) => ['rowid' => $row->id, 'word' => $row->word])->all());
        }
        $this->rows = $this->due = $this->words = $this->former = [];
    }
}
