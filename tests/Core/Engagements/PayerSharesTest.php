<?php

declare(strict_types=1);

namespace Tests\Core\Engagements;

use Almanac\Engagements\EngagementRefused;
use Almanac\Engagements\PayerShares;
use Almanac\Money\BadAmount;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Shares of an amount by the method of the largest remainder. The second example is the textbook one of a cent that three
 * equal parts leave over; the fourth is that of the quotas of 100,000 votes and ten seats as it is given for Hamilton's
 * method (M. L. Balinski and H. P. Young, "Fair Representation", 1982, from memory).
 */
final class PayerSharesTest extends TestCase
{
    /**
     * @param list<string> $shares
     * @param list<string> $parts
     */
    #[TestWith(['1000.00', ['80', '20'], ['800.00', '200.00']])]
    #[TestWith(['100.00', ['33.333333', '33.333333', '33.333334'], ['33.33', '33.33', '33.34']])]
    #[TestWith(['0.05', ['50', '50'], ['0.03', '0.02']])]
    #[TestWith(['0.10', ['47', '16', '15.9', '12', '6', '3.1'], ['0.05', '0.02', '0.01', '0.01', '0.01', '0.00']])]
    #[TestWith(['0.01', ['40', '60'], ['0.00', '0.01']])]
    #[TestWith(['-0.05', ['50', '50'], ['-0.03', '-0.02']])]
    #[TestWith(['0.00', ['100'], ['0.00']])]
    public function test_worked_examples(string $amount, array $shares, array $parts): void
    {
        $this->assertSame($parts, array_map(
            fn (Money $part) => $part->toDecimal(),
            array_values($this->shares($shares)->split(Money::of($amount, 'USD'))),
        ));
    }

    /** They add up, none is a whole cent away from its exact share, and a greater share never gets less. */
    public function test_whatever_the_shares_the_parts_add_up_to_the_cent(): void
    {
        mt_srand(1792);
        for ($round = 0; $round < 300; $round++) {
            $cuts = array_unique(array_map(fn () => mt_rand(1, 999_999), range(1, mt_rand(1, 7))));
            sort($cuts);
            $points = [0, ...$cuts, 1_000_000];
            $shares = [];
            for ($at = 1; $at < count($points); $at++) {
                $shares[] = sprintf('%.4F', ($points[$at] - $points[$at - 1]) / 10_000);
            }
            $minor = mt_rand(-1_000_000, 10_000_000);
            $parts = array_values($this->shares($shares)->split(Money::ofMinor($minor, 'USD')));
            $this->assertSame($minor, array_sum(array_map(fn (Money $part) => $part->minor, $parts)));
            foreach ($parts as $at => $part) {
                $tenThousandths = $minor * ($points[$at + 1] - $points[$at]);
                $this->assertLessThan(1_000_000, abs($part->minor * 1_000_000 - $tenThousandths));
            }
        }
    }

    public function test_the_largest_amount_does_not_overflow(): void
    {
        $parts = $this->shares(['99.999999', '0.000001'])->split(Money::ofMinor(Money::MOST, 'USD'));
        $this->assertSame([9_999_999_900_000, 100_000], array_map(fn (Money $part) => $part->minor, array_values($parts)));
    }

    /** @param  list<array{int, string}>  $shares */
    #[TestWith([[[1, '99.99']]])]
    #[TestWith([[[1, '60'], [2, '50']]])]
    #[TestWith([[]])]
    public function test_shares_that_are_no_whole(array $shares): void
    {
        $this->expectException(BadAmount::class);
        PayerShares::of(array_map(fn (array $one) => [$one[0], Percent::of($one[1])], $shares));
    }

    /** @param  list<array{int, string}>  $shares */
    #[TestWith([[[1, '50'], [1, '50']], 'Somebody is named twice as paying. Put their shares together.'])]
    #[TestWith([[[1, '100'], [2, '0']], 'Whoever pays has a share above 0%. Remove those who pay nothing.'])]
    public function test_payers_that_cannot_be(array $shares, string $message): void
    {
        $this->expectException(EngagementRefused::class);
        $this->expectExceptionMessage($message);
        PayerShares::of(array_map(fn (array $one) => [$one[0], Percent::of($one[1])], $shares));
    }

    /** @param  list<string>  $shares */
    private function shares(array $shares): PayerShares
    {
        return PayerShares::of(array_map(fn (int $at) => [$at + 1, Percent::of($shares[$at])], array_keys($shares)));
    }
}
