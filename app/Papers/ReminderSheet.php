<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use App\Models\Document;
use App\Models\Office;

/** The letter that reminds of what is late. */
final class ReminderSheet
{
    /**
     * @param list<string> $address
     * @param list<array{Document, Money|null}> $rows what is late, with the interest on it
     * @param array<string, array{
     *     open: Money, interest: Money, unused: Money,
     * }> $sums by currency; unused is what they paid and nothing is settled by yet
     */
    public static function pdf(array $address, string $salutation, Day $today, array $rows, array $sums, bool $hasInterest): string
    {
        $sheet = new PaperSheet(Office::current(), 'Reminder');
        $sheet->address($address);
        $sheet->text($today->toText());
        $sheet->space();
        $sheet->text($salutation);
        $sheet->space();
        $sheet->text(
            'According to our books the following '.
                (count($rows) === 1 ? 'invoice is' : 'invoices are').
                ' past due. Please pay within ten days. If your payment is on its way, thank you.',
        );
        $sheet->space();
        $interest = fn (?Money $amount): array => $hasInterest ? [$amount?->figures() ?? ''] : [];
        $totals = [];
        foreach ($sums as $currency => ['open' => $open, 'interest' => $late, 'unused' => $unused]) {
            $totals[] = ["Past due, $currency", '', '', '', $open->figures(), ...$interest($late)];
            if (! $unused->isZero()) {
                $totals[] = ['Received from you and not used yet', '', '', '', $unused->negated()->figures(), ...$interest(null)];
            }
            $totals[] = ["Total to pay, $currency", '', '', '', $open->plus($late)->minus($unused)->figures(), ...$interest(null)];
        }
        $sheet->table(
            [
                ['Invoice', 0.0, false],
                ['Date', 24.0, false],
                ['Due', 24.0, false],
                ['Days late', 20.0, true],
                ['Open', 34.0, true],
                ...$hasInterest ? [['Interest', 26.0, true]] : [],
            ],
            array_map(
                fn (array $row) => [
                    $row[0]->shownNumber(),
                    $row[0]->dated_on->toText(),
                    $row[0]->dueInList()?->toText() ?? '',
                    (string) $row[0]->daysLate($today),
                    $row[0]->currency.' '.$row[0]->openInList()->figures(),
                    ...$interest($row[1]),
                ],
                $rows,
            ),
            $totals,
        );
        if (trim((string) Office::current()->how_to_pay) !== '') {
            $sheet->text('How to pay us', 8.5, [89, 98, 108]);
            $sheet->text((string) Office::current()->how_to_pay);
            $sheet->space();
        }
        $sheet->text('Sincerely,');
        $sheet->space(14);
        $sheet->text(Office::current()->name);

        return $sheet->content();
    }
}
