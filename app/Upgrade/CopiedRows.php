<?php

declare(strict_types=1);

namespace App\Upgrade;

use Illuminate\Database\ConnectionInterface;

/** Copies every row of the attached database `was` into the released schema, as EarlierSchema says. */
final readonly class CopiedRows
{
    public function __construct(private ConnectionInterface $new)
    {
    }

    /** @throws CarryOverRefused when a table or a column of the old database is not known */
    public function copyAll(): void
    {
        $old = $this->columnsOf('was');
        $copied = array_diff_key($this->columnsOf('main'), array_flip([...EarlierSchema::COMPUTED_TABLES, 'migrations']));
        $this->refuseUnknown($old, $copied);
        foreach ($copied as $table => $columns) {
            $from = isset($old[$table]) ? $table : EarlierSchema::TABLES[$table] ?? '';
            if (isset($old[$from])) {
                // What the migrations begin with stands in the old database as well, or was changed there.
                $this->new->table($table)->delete();
                $this->copy($table, $columns, $from, $old[$from]);
            }
        }
        if (! isset($old['subjects'])) {
            $this->new->statement("INSERT INTO subjects (id, kind) SELECT id, 'party' FROM parties");
        }
        if (in_array('problems', $old['imports'] ?? [], true)) {
            $this->new->table('imports')->whereIn('state', EarlierSchema::READ_WHOLE)
                ->update(['state' => 'failed', 'failure' => 'Files are read line by line now. Import this file again.']);
        }
        if (! isset($old['document_dues']) && isset($old['documents'])) {
            $this->datesDue();
        }
        foreach (EarlierSchema::STATES as $section => $values) {
            $this->completeStates($section, $values);
        }
        $this->keepNumbers();
    }

    /**
     * What was not asked then is empty in the states of that time.
     *
     * @param array<string, string> $values
     */
    private function completeStates(string $section, array $values): void
    {
        foreach ($values as $key => $value) {
            foreach (['section_states', 'merge_sections'] as $table) {
                $this->new->update(
                    "UPDATE main.$table SET state = json_set(state, '$.$key', ?) WHERE section = ? AND is_private = 0 AND json_type(state, '$.$key') IS NULL",
                    [$value, $section],
                );
            }
        }
    }

    /**
     * @param array<string, list<string>> $old
     * @param array<string, list<string>> $new
     */
    private function refuseUnknown(array $old, array $new): void
    {
        $unknown = [];
        foreach ($old as $table => $columns) {
            if (in_array($table, [...EarlierSchema::COMPUTED_TABLES, ...EarlierSchema::GONE_TABLES, 'migrations'], true)) {
                continue;
            }
            $to = isset($new[$table]) ? $table : (string) array_search($table, EarlierSchema::TABLES, true);
            if (! isset($new[$to])) {
                $unknown[] = $table;

                continue;
            }
            $known = [...$new[$to], ...array_values(EarlierSchema::COLUMNS[$to] ?? []), ...EarlierSchema::GONE[$to] ?? []];
            array_push($unknown, ...array_map(fn (string $column) => "$table.$column", array_values(array_diff($columns, $known))));
        }
        if ($unknown !== []) {
            throw CarryOverRefused::unknown($unknown);
        }
    }

    /**
     * @param list<string> $columns
     * @param list<string> $had
     */
    private function copy(string $table, array $columns, string $from, array $had): void
    {
        $values = [];
        foreach ($columns as $column) {
            $was = EarlierSchema::COLUMNS[$table][$column] ?? $column;
            $was = in_array($column, $had, true) ? $column : $was;
            $value = match (true) {
                $table === 'documents' && $column === 'number' && in_array('parts', $had, true) => EarlierSchema::OF_PARTS[$column],
                in_array($was, $had, true) => $this->rewritten($table, $column, "old.\"$was\""),
                $table === 'documents' && in_array('parts', $had, true) => EarlierSchema::OF_PARTS[$column] ?? null,
                default => EarlierSchema::COMPUTED[$table][$column] ?? null,
            };
            if ($value !== null) {
                $values["\"$column\""] = $value;
            }
        }
        $this->new->statement("INSERT INTO main.\"$table\" (".implode(', ', array_keys($values)).') SELECT '.implode(', ', $values)." FROM was.\"$from\" AS old");
    }

    /** A value as it is written now. */
    private function rewritten(string $table, string $column, string $value): string
    {
        $map = EarlierSchema::VALUES[$table][$column] ?? [];
        if ($map === []) {
            return $value;
        }
        if (in_array([$table, $column], EarlierSchema::LISTS, true)) {
            foreach ($map as $was => $is) {
                $value = "replace($value, '\"$was\"', '\"$is\"')";
            }

            return $value;
        }
        $cases = '';
        foreach ($map as $was => $is) {
            $cases .= " WHEN '$was' THEN ".($is === null ? 'NULL' : "'$is'");
        }

        return "CASE $value$cases ELSE $value END";
    }

    /** Documents once held the parts in which they are due: [day, minor units], what is open is the last of them. */
    private function datesDue(): void
    {
        $documents = $this->new->select(
            'SELECT id, parts, due, date, total_minor, open_minor FROM was.documents'
            ." WHERE kind IN ('invoice', 'bill', 'opening-receivable', 'opening-payable') ORDER BY id",
        );
        foreach ($documents as $document) {
            $read = json_decode((string) $document->parts, true);
            /** @var list<array{string, int}> $parts */
            $parts = is_array($read) && $read !== [] ? $read : [[$document->due ?? $document->date, $document->total_minor]];
            usort($parts, fn (array $one, array $other) => $one[0] <=> $other[0]);
            $open = (int) $document->open_minor;
            foreach (array_reverse($parts, true) as $rank => [$day, $amount]) {
                $left = min((int) $amount, $open);
                $open -= $left;
                $this->new->table('document_dues')->insert(
                    ['document_id' => $document->id, 'rank' => $rank, 'due_on' => $day, 'amount_minor' => $amount, 'open_minor' => $left],
                );
            }
        }
    }

    /** A number that was given to a row is never given to another, even if that row is gone. */
    private function keepNumbers(): void
    {
        /** @var list<object{name: string, seq: int}> $last */
        $last = $this->new->select('SELECT name, seq FROM was.sqlite_sequence');
        $names = array_column($last, 'seq', 'name');
        foreach ($names as $name => $number) {
            $to = (string) (array_search($name, EarlierSchema::TABLES, true) ?: $name);
            $this->new->update('UPDATE main.sqlite_sequence SET seq = max(seq, ?) WHERE name = ?', [$number, $to]);
        }
        if (! isset($names['subjects'])) {
            $this->new->update("UPDATE main.sqlite_sequence SET seq = max(seq, ?) WHERE name = 'subjects'", [$names['parties'] ?? 0]);
        }
    }

    /** @return array<string, list<string>> the columns that hold something, by table */
    private function columnsOf(string $database): array
    {
        $columns = [];
        foreach (CarryOver::tables($this->new, $database) as $table) {
            /** @var list<object{name: string, hidden: int}> $info */
            $info = $this->new->select("PRAGMA $database.table_xinfo(\"$table\")");
            $columns[$table] = array_values(array_map(fn (object $one) => $one->name, array_filter($info, fn (object $one) => $one->hidden === 0)));
        }

        return $columns;
    }
}
