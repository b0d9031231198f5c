<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Roll;
use Almanac\Money\BadAmount;
use Almanac\Money\Percent;

/**
 * Reads payment terms as the trade writes them: net 30, n/30, 2/10 net 30, net 15 EOM, 10th prox,
 * COD. Writing is PaymentTerms::toShorthand(); reading what was written gives an equal value.
 *
 * The abbreviations are those of bookkeeping handbooks (common practice, no published source):
 * n is net, EOM the end of the document's month, prox (proximo) the following month, inst
 * (instant) the document's own month, COD cash on delivery.
 */
final class Shorthand
{
    private const NUMBER = '(?<n>-?\d{1,6})';

    private const NET = '(?:(?:net|n ?\/?) ?)?';

    private const DAYS = '(?: days?)?(?: after (?:the )?(?:document|invoice|bill)(?:[’\']?s)?(?: date)?)?';

    private const EOM = '(?:eom|(?:the )?end of (?:the |this )?month)';

    /**
     * @throws TermsRefused when the text cannot be read, or what it says contradicts itself
     */
    public static function read(string $typed): PaymentTerms
    {
        $text = self::tidy($typed);
        if ($text === '') {
            throw TermsRefused::missing();
        }
        [$text, $roll] = self::takeRoll($text);
        if (preg_match('/^[\d.,]+ ?%(?! ?\/)/', $text) === 1) {
            return self::instalments($text, $roll, $typed);
        }
        [$text, $discount] = self::takeDiscount($text);
        if ($discount !== null && $text === '') {
            throw TermsRefused::discountWithoutDue($discount->toShorthand());
        }

        return PaymentTerms::of(self::rule($text, $typed), $discount, $roll);
    }

    private static function tidy(string $typed): string
    {
        $text = mb_strtolower(str_replace(['–', '−'], '-', $typed));

        return trim(preg_replace('/[\s.]*$|\s+/u', ' ', $text) ?? '', " \u{a0}");
    }

    /** @return array{string, Roll} the text without its roll */
    private static function takeRoll(string $text): array
    {
        foreach ([Roll::NextWithinMonth, Roll::Next, Roll::Previous] as $roll) {
            $ending = $roll->words();
            if (str_ends_with($text, $ending)) {
                return [rtrim(substr($text, 0, -strlen($ending)), ' ,;'), $roll];
            }
        }

        return [$text, Roll::None];
    }

    /** @return array{string, ?Discount} the text without its discount */
    private static function takeDiscount(string $text): array
    {
        if (preg_match('/^(?<p>\d+(?:[.,]\d+)?) ?%? ?\/ ?(?<n>\d{1,6})(?<eom> eom)?(?:[ ,;]+(?<rest>.*))?$/', $text, $part) !== 1) {
            return [$text, null];
        }

        return [
            trim($part['rest'] ?? ''),
            Discount::of(self::percent($part['p']), (int) $part['n'], ($part['eom'] ?? '') !== ''),
        ];
    }

    private static function instalments(string $text, Roll $roll, string $typed): PaymentTerms
    {
        $parts = [];
        foreach (preg_split('/\s*(?:[,;+]|\band\b)\s*(?=[\d.,]+ ?%)/', $text) ?: [] as $piece) {
            if (preg_match('/^(?<p>[\d.,]+) ?% ?(?<rest>.+)$/', $piece, $part) !== 1) {
                throw TermsRefused::unreadable($typed);
            }
            if (preg_match('/^\d+ ?\/ ?\d/', $part['rest']) === 1) {
                throw TermsRefused::discountOnInstalments();
            }
            $parts[] = Instalment::of(self::percent($part['p']), self::rule($part['rest'], $typed));
        }

        return count($parts) === 1 && $parts[0]->percent->value->isEqualTo(100)
            ? PaymentTerms::of($parts[0]->rule, null, $roll)
            : PaymentTerms::inInstalments($parts ?: throw TermsRefused::unreadable($typed), $roll);
    }

    private static function rule(string $text, string $typed): DueRule
    {
        $ordinal = '(?:the |(?:on )?day )?(?<n>\d{1,2})(?:st|nd|rd|th)?';
        $following = '(?:of )?(?:prox(?:imo)?|(?:the )?(?:following|next)(?: month)?)';

        /** @var list<array{string, \Closure(array<array-key, string>): DueRule}> $readers */
        $readers = [
            ['(?:cod|c\.o\.d|cash on delivery|(?:due |payable )?(?:on|upon) receipt|immediate(?:ly)?|cash)', fn () => new OnReceipt],
            ['net '.self::EOM, fn () => MonthEnd::of(0)],
            [self::EOM, fn () => MonthEnd::of(0)],
            [self::EOM.' ?\+ ?(?<n>\d{1,6})(?: days?)?', fn ($p) => DaysAfterMonthEnd::of((int) $p['n'])],
            [self::EOM.' ?\+ ?(?<n>\d{1,4}) months?', fn ($p) => MonthEnd::of((int) $p['n'])],
            ['(?:the )?end of (?:the )?(?:following|next) month', fn () => MonthEnd::of(1)],
            [self::NET.self::NUMBER.' months?', fn ($p) => MonthsAfter::of((int) $p['n'])],
            [self::NET.self::NUMBER.'(?: days?)? (?:after )?(?:the )?'.self::EOM, fn ($p) => DaysAfterMonthEnd::of((int) $p['n'])],
            [$ordinal.' (?:of (?:this|the current) month|inst(?:ant)?)', fn ($p) => DayOfThisMonth::of((int) $p['n'])],
            [
                $ordinal.' '.$following.'(?: ?\+ ?(?<m>\d{1,4}) months?)?(?:,? cut-?off (?:the )?(?<c>\d{1,2})(?:st|nd|rd|th)?)?',
                fn ($p) => DayOfFollowingMonth::of(
                    (int) $p['n'],
                    1 + (int) ($p['m'] ?? 0),
                    ($p['c'] ?? '') === '' ? null : (int) $p['c'],
                ),
            ],
            [self::NET.self::NUMBER.self::DAYS, fn ($p) => DaysAfter::of((int) $p['n'])],
        ];
        foreach ($readers as [$pattern, $make]) {
            if (preg_match('/^'.$pattern.'$/u', trim($text, ' ,;'), $part) === 1) {
                return $make($part);
            }
        }

        throw TermsRefused::unreadable(trim($typed));
    }

    /** @throws TermsRefused */
    private static function percent(string $typed): Percent
    {
        try {
            return Percent::of($typed);
        } catch (BadAmount $problem) {
            throw TermsRefused::badPercentage($problem->getMessage());
        }
    }
}
