<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Refusal;

/** Payment terms that cannot be read, or that contradict themselves. */
final class TermsRefused extends Refusal
{
    public static function unreadable(string $typed): self
    {
        return new self(sprintf(
            '“%s” cannot be read as payment terms. Try net 30, 2/10 net 30, EOM, 10th prox or due on receipt.',
            $typed,
        ));
    }

    public static function missing(): self
    {
        return new self('Type the payment terms, such as net 30, or choose them from the list.');
    }

    public static function negativeDays(int $days): self
    {
        return new self(sprintf('Payment cannot be due %d days before the document. Write net %d, or due on receipt.', -$days, -$days));
    }

    public static function tooLong(int $most, string $unit): self
    {
        return new self(sprintf('That is too long: at most %d %s.', $most, $unit));
    }

    public static function tooFewMonths(int $least): self
    {
        return new self(sprintf('The months must be %d or more.', $least));
    }

    public static function noSuchDayOfMonth(int $day): self
    {
        return new self(sprintf('No month has a day %d: days run from 1 to 31.', $day));
    }

    public static function emptyDiscount(): self
    {
        return new self('The discount must be more than 0% and less than 100%. Leave it out when there is none.');
    }

    public static function discountAfterDue(string $discount, string $rule): self
    {
        return new self(sprintf(
            'The discount (%s) would end after the payment is due (%s). Shorten its days, or make the terms longer.',
            $discount,
            $rule,
        ));
    }

    public static function discountWithoutDue(string $discount): self
    {
        return new self(sprintf('Say when the full amount is due as well, as in %s net 30.', $discount));
    }

    public static function discountOnInstalments(): self
    {
        return new self('A discount for early payment goes with a single due date, not with instalments.');
    }

    public static function partsDoNotAddUp(string $detail): self
    {
        return new self($detail.' Change the percentages of the instalments.');
    }

    public static function badPercentage(string $detail): self
    {
        return new self($detail);
    }

    public static function emptyPart(): self
    {
        return new self('Each instalment must be more than 0%.');
    }

    public static function tooManyParts(int $most): self
    {
        return new self(sprintf('At most %d instalments.', $most));
    }
}
