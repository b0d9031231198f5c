<?php

declare(strict_types=1);

namespace Tests\Core\Terms;

use Almanac\Calendar\Roll;
use Almanac\Money\Percent;
use Almanac\Terms\DayOfFollowingMonth;
use Almanac\Terms\DayOfThisMonth;
use Almanac\Terms\DaysAfter;
use Almanac\Terms\DaysAfterMonthEnd;
use Almanac\Terms\Discount;
use Almanac\Terms\DueRule;
use Almanac\Terms\Instalment;
use Almanac\Terms\MonthEnd;
use Almanac\Terms\MonthsAfter;
use Almanac\Terms\OnReceipt;
use Almanac\Terms\PaymentTerms;
use Almanac\Terms\Shorthand;
use Almanac\Terms\TermsRefused;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ShorthandTest extends TestCase
{
    #[TestWith(['n/30', 'net 30'])]
    #[TestWith(['N30', 'net 30'])]
    #[TestWith(['Net  30.', 'net 30'])]
    #[TestWith(['30 days', 'net 30'])]
    #[TestWith(['2/10, n/30', '2/10 net 30'])]
    #[TestWith(['2%/10 net 30', '2/10 net 30'])]
    #[TestWith(['2,5/10 net 30', '2.5/10 net 30'])]
    #[TestWith(['1/15 EOM net 45', '1/15 EOM net 45'])]
    #[TestWith(['net EOM', 'EOM'])]
    #[TestWith(['EOM + 10 days', 'net 10 EOM'])]
    #[TestWith(['end of month + 15 days', 'net 15 EOM'])]
    #[TestWith(['EOM+5', 'net 5 EOM'])]
    #[TestWith(['day 10 of following month', '10th prox'])]
    #[TestWith(['on day 10 of the next month', '10th prox'])]
    #[TestWith(['end of the following month', 'EOM + 1 month'])]
    #[TestWith(['the 10th of the following month', '10th prox'])]
    #[TestWith(['10 proximo', '10th prox'])]
    #[TestWith(['25th inst', '25th of this month'])]
    #[TestWith(['C.O.D.', 'due on receipt'])]
    #[TestWith(['upon receipt', 'due on receipt'])]
    #[TestWith(['100% net 30', 'net 30'])]
    #[TestWith(['30 % on receipt + 70 % net 30', '30% due on receipt, 70% net 30'])]
    #[TestWith(["net\u{a0}30", 'net 30'])]
    public function test_it_reads_what_the_trade_writes(string $typed, string $written): void
    {
        $this->assertSame($written, Shorthand::read($typed)->toShorthand());
    }

    /** @return iterable<string, array{DueRule}> */
    public static function rules(): iterable
    {
        $rules = [
            new OnReceipt,
            ...array_map(DaysAfter::of(...), [0, 1, 7, 14, 15, 30, 45, 60, 90, 3650]),
            ...array_map(DaysAfterMonthEnd::of(...), [0, 1, 15, 30, 3650]),
            ...array_map(MonthEnd::of(...), [0, 1, 2, 120]),
            ...array_map(MonthsAfter::of(...), [1, 2, 12, 120]),
            ...array_map(DayOfThisMonth::of(...), range(1, 31)),
        ];
        foreach (range(1, 31) as $day) {
            foreach ([1, 2, 12] as $months) {
                foreach ([null, 1, 25, 31] as $cutoff) {
                    $rules[] = DayOfFollowingMonth::of($day, $months, $cutoff);
                }
            }
        }
        foreach ($rules as $rule) {
            yield $rule->toShorthand() => [$rule];
        }
    }

    #[DataProvider('rules')]
    public function test_reading_what_was_written_gives_the_same_value(DueRule $rule): void
    {
        foreach (Roll::cases() as $roll) {
            $plain = PaymentTerms::of($rule, null, $roll);
            $this->assertEquals($plain, Shorthand::read($plain->toShorthand()));

            $parts = PaymentTerms::inInstalments([
                Instalment::of(Percent::of('33.3'), $rule),
                Instalment::of(Percent::of('66.7'), DaysAfter::of(30)),
            ], $roll);
            $this->assertEquals($parts, Shorthand::read($parts->toShorthand()));
        }
        foreach ([[1, false], [10, false], [10, true]] as [$days, $fromMonthEnd]) {
            try {
                $terms = PaymentTerms::of($rule, Discount::of(Percent::of('2.5'), $days, $fromMonthEnd));
            } catch (TermsRefused $refused) {
                $this->assertStringContainsString('would end after the payment is due', $refused->getMessage());

                continue;
            }
            $this->assertEquals($terms, Shorthand::read($terms->toShorthand()));
        }
    }

    #[
        TestWith([
            '2/40 net 30',
            'The discount (2/40) would end after the payment is due (net 30). Shorten its days, or make the terms longer.',
        ]),
    ]
    #[
        TestWith([
            '2/10 due on receipt',
            'The discount (2/10) would end after the payment is due (due on receipt). Shorten its days, or make the terms longer.',
        ]),
    ]
    #[TestWith(['net -5', 'Payment cannot be due 5 days before the document. Write net 5, or due on receipt.'])]
    #[TestWith(['tomorrow', '“tomorrow” cannot be read as payment terms. Try net 30, 2/10 net 30, EOM, 10th prox or due on receipt.'])]
    #[TestWith(['', 'Type the payment terms, such as net 30, or choose them from the list.'])]
    #[TestWith(['2/10', 'Say when the full amount is due as well, as in 2/10 net 30.'])]
    #[TestWith(['100/10 net 30', 'The discount must be more than 0% and less than 100%. Leave it out when there is none.'])]
    #[TestWith(['0/10 net 30', 'The discount must be more than 0% and less than 100%. Leave it out when there is none.'])]
    #[TestWith(['30% on receipt, 60% net 30', 'The parts add up to 90%, not to 100%. Change the percentages of the instalments.'])]
    #[TestWith(['0% on receipt, 100% net 30', 'Each instalment must be more than 0%.'])]
    #[TestWith(['50% 2/10 net 30, 50% net 60', 'A discount for early payment goes with a single due date, not with instalments.'])]
    #[TestWith(['32nd prox', 'No month has a day 32: days run from 1 to 31.'])]
    #[TestWith(['net 99999', 'That is too long: at most 3650 days.'])]
    #[TestWith(['net 30 40', '“net 30 40” cannot be read as payment terms. Try net 30, 2/10 net 30, EOM, 10th prox or due on receipt.'])]
    #[TestWith(['صافي ٣٠', '“صافي ٣٠” cannot be read as payment terms. Try net 30, 2/10 net 30, EOM, 10th prox or due on receipt.'])]
    public function test_it_says_what_is_wrong(string $typed, string $message): void
    {
        $this->expectException(TermsRefused::class);
        $this->expectExceptionMessage($message);
        Shorthand::read($typed);
    }

    public function test_no_text_makes_it_fail_otherwise(): void
    {
        mt_srand(20261124);
        $pieces = [
            'net',
            'n/',
            '2/10',
            '30',
            'EOM',
            '10th',
            'prox',
            '%',
            ',',
            '+',
            '-5',
            'days',
            'cutoff',
            ' ',
            'month',
            '100',
            '0',
            '99999999999',
            "\u{200b}",
            '✓',
        ];
        $read = 0;
        for ($n = 0; $n < 20_000; $n++) {
            $typed = implode(' ', array_map(fn () => $pieces[array_rand($pieces)], range(1, mt_rand(1, 6))));
            try {
                $terms = Shorthand::read($typed);
                $this->assertTrue(Shorthand::read($terms->toShorthand())->equals($terms), $typed);
                $read++;
            } catch (TermsRefused $refused) {
                $this->assertNotSame('', $refused->getMessage());
            }
        }
        $this->assertGreaterThan(100, $read);
    }
}
