<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Calendar\Day;
use Almanac\Ledger\AgeingBucket;
use App\Facts\Ledger\AccountStatement;
use App\Models\Document;
use App\Models\Office;

/** A statement of account on paper. */
final class StatementSheet
{
    /**
     * @param list<string> $address
     * @param \Closure(int): void|null $written how many lines there are so far
     */
    public static function pdf(AccountStatement $account, array $address, Day $today, ?\Closure $written = null): string
    {
        $sheet = new PaperSheet(Office::current(), 'Statement of account');
        $sheet->address($address);
        $sheet->heading('Statement of account');
        $sheet->text(ucfirst($account->period->toText()).', in '.$account->currency.'.');
        $sheet->space();
        $sheet->table(
            [['Day', 26.0, false], ['What', 0.0, false], ['Change', 32.0, true], ['Balance', 32.0, true]],
            [
                ['', 'Balance before', '', $account->statement->opening->figures()],
                ...array_map(
                    fn (array $line) => [$line[0]->toText(), $line[1], $line[2]->figures(), $line[3]->figures()],
                    $account->statement->lines,
                ),
            ],
            [['', 'Balance on '.$account->until->toText(), '', $account->statement->closing->figures()]],
            $written,
        );
        if ($account->open->isNotEmpty()) {
            $sheet->heading('Open', 12);
            $sheet->table(
                [['Document', 0.0, false], ['Date', 26.0, false], ['Due', 26.0, false], ['Late', 22.0, true], ['Open', 32.0, true]],
                array_values($account->open->map(fn (Document $document) => [
                    $document->kind->title().' '.$document->shownNumber(),
                    $document->dated_on->toText(),
                    $document->dueInList()?->toText() ?? '',
                    $document->daysLate($today) === 0 ? '' : $document->daysLate($today).' days',
                    $document->openInList()->figures(),
                ])->all()),
            );
            $facts = [];
            foreach (AgeingBucket::cases() as $bucket) {
                $facts[ucfirst($bucket->title(Office::current()->ageing_by))] = $account->ageing->bucket($bucket)->figures();
            }
            $sheet->facts($facts);
        }

        return $sheet->content();
    }
}
