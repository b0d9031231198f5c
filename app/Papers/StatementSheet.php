<?php

declare(strict_types=1);

namespace App\Papers;

use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\StatementData;
use App\Http\Data\Ledger\StatementLineData;
use App\Models\Office;

/** A statement of account on paper. */
final class StatementSheet
{
    /**
     * @param list<string> $address
     * @param \Closure(int): void|null $tell how many lines are written
     */
    public static function pdf(StatementData $statement, array $address, ?\Closure $tell = null): string
    {
        $sheet = new PaperSheet(Office::current(), 'Statement of account');
        $sheet->address($address);
        $sheet->heading('Statement of account');
        $sheet->text(ucfirst($statement->period).', in '.$statement->currency.'.');
        $sheet->space();
        $sheet->table(
            [['Day', 26.0, false], ['What', 0.0, false], ['Change', 32.0, true], ['Balance', 32.0, true]],
            [['', 'Balance before', '', $statement->opening->text], ...array_map(fn (StatementLineData $line) => [$line->dayText, $line->what, $line->amount->text, $line->balance->text], $statement->lines)],
            [['', 'Balance on '.$statement->toText, '', $statement->closing->text]],
            $tell,
        );
        if ($statement->open !== []) {
            $sheet->heading('Open', 12);
            $sheet->table(
                [['Document', 0.0, false], ['Date', 26.0, false], ['Due', 26.0, false], ['Late', 22.0, true], ['Open', 32.0, true]],
                array_map(fn (DocumentRowData $row) => [$row->kindTitle.' '.$row->number, $row->dateText, $row->dueText, $row->daysLate === 0 ? '' : $row->daysLate.' days', $row->open->text], $statement->open),
            );
            $sheet->facts(array_combine(array_map(fn ($bucket) => ucfirst($bucket->title), $statement->ageing), array_map(fn ($bucket) => $bucket->amount->text, $statement->ageing)));
        }

        return $sheet->content();
    }
}
