<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Banking\PayBy;
use Almanac\Details\FieldKind;
use Almanac\Finding\Fold;
use Almanac\Ledger\Delivery;
use Almanac\Ledger\LedgerRefused;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Names\NamePart;
use Almanac\Records\Grade;
use Almanac\Records\PartyKind;
use Almanac\Records\Wording;
use Almanac\Refusal;
use Almanac\Terms\Shorthand;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use Almanac\Titled;
use Symfony\Component\Intl\Languages;

/** Reads the single values of a line: words, days, amounts, choices, as the file writes them, into one plain form each. */
final readonly class PlainValues
{
    private const CLIENT = ['client', 'customer', 'c', 'debtor', 'kunde'];

    private const VENDOR = ['vendor', 'supplier', 'v', 'creditor', 'subcontractor', 'contractor', 'lieferant'];

    private const YES = ['yes', 'y', 'true', '1', 'x', 'ja', 'oui', '✓'];

    private const NO = ['no', 'n', 'false', '0', '', 'nein', 'non'];

    public function __construct(private ReadingOffice $office)
    {
    }

    /**
     * @param string|null $currency ISO 4217, of an amount that is not in the office's
     *
     * @return string|null null where the column is none that holds a single value
     *
     * @throws Refusal when it cannot be read
     */
    public function read(string $key, string $text, ?string $currency = null): ?string
    {
        if (str_starts_with($key, 'detail:')) {
            $field = $this->office->fields[$key] ?? null;

            $typed = ($field[0] ?? null) === FieldKind::Choices ? str_replace(';', "\n", $text) : $text;

            return $field === null ? null : $this->office->details->read($field[0], $typed, $field[1]);
        }

        return match ($key) {
            'number' => (string) self::number($text),
            'client', 'vendor' => self::yesOrNo($text),
            'owner', 'account-manager', 'buyer' => $this->colleague($text),
            'source', 'no-letters-how' => NamePart::tidy($text),
            // The day, or yes where it is not said.
            'no-letters' => ($said = $this->life($key, trim($text))) === 'no' ? '' : $said,
            'language' => self::language($text),
            'grade' => (string) Grade::of(self::number($text)),
            'form-on', 'balance-on' => $this->office->days->read($text)->toIso(),
            'receivable', 'payable' => $this->opening($text),
            default => $this->ofSide($key, $text, $currency ?? $this->office->currency),
        };
    }

    /** @throws Refusal when it is neither */
    public function kind(string $text): PartyKind
    {
        return match (true) {
            in_array(Fold::text(trim($text)), ['person', 'individual', 'p', 'i', 'people', 'contact', 'human'], true) => PartyKind::Person,
            in_array(Fold::text(trim($text)), ['company', 'organization', 'organisation', 'business', 'org', 'firm', 'o', 'c', 'group', 'corporation', 'entity'], true) => PartyKind::Company,
            default => throw InterchangeRefused::unknownWord($text, 'person or company'),
        };
    }

    /**
     * @return array<string, string>
     *
     * @throws Refusal when it is none
     */
    public function role(string $text): array
    {
        $words = Fold::words($text);
        $is = [
            'client' => array_intersect($words, [...self::CLIENT, 'clients', 'customers', 'both']) !== [],
            'vendor' => array_intersect($words, [...self::VENDOR, 'vendors', 'suppliers', 'both']) !== [],
        ];
        if (! in_array(true, $is, true) && ! in_array(Fold::text(trim($text)), ['neither', 'none', 'other', '-'], true)) {
            throw InterchangeRefused::unknownWord($text, 'client, vendor, both or neither');
        }

        return array_map(fn (bool $one) => $one ? 'yes' : 'no', $is);
    }

    /** @throws Refusal when it is still to come, or cannot be read */
    public function life(string $key, string $text): string
    {
        if ($key !== 'birth-date' && in_array(Fold::text($text), [...self::YES, ...self::NO], true)) {
            return self::yesOrNo($text);
        }
        if ($key === 'informal') {
            return self::yesOrNo($text);
        }
        $day = $this->office->days->read($text);

        return $day->isAfter($this->office->today) ? throw InterchangeRefused::stillToCome() : $day->toIso();
    }

    /** @throws Refusal when it is not in the list, and new ones are not taken */
    public function type(string $text): string
    {
        foreach ($this->office->types as $type) {
            if (Fold::text($type) === Fold::text($text)) {
                return $type;
            }
        }

        return $this->office->takesNewWords ? Wording::line($text, 60, 'Type a name for it.') : throw InterchangeRefused::newWord($text);
    }

    /** @throws Refusal when it is no amount, or one below zero */
    private function opening(string $text): string
    {
        $amount = Money::fromTyped($text, $this->office->currency, $this->office->sign);

        return match (true) {
            $amount->isNegative() => throw LedgerRefused::openingBelowZero(),
            // Nothing was owed.
            $amount->isZero() => '',
            default => $amount->toDecimal(),
        };
    }

    private function ofSide(string $key, string $text, string $currency): ?string
    {
        foreach (Side::cases() as $side) {
            if (! str_starts_with($key, "$side->value-")) {
                continue;
            }
            $name = substr($key, strlen($side->value) + 1);
            if ($name === 'terms') {
                return $this->terms($text);
            }

            return match (SideField::tryFrom($name)) {
                SideField::Treatment => self::choice($text, TaxTreatment::cases()),
                SideField::Delivery => self::choice($text, Delivery::cases()),
                SideField::PayBy => self::choice($text === 'check' ? 'cheque' : $text, PayBy::cases()),
                SideField::Discount => (string) Percent::of(trim(str_replace('%', '', $text))),
                SideField::Currency => Money::zero(mb_strtoupper(trim($text)))->currency,
                SideField::Limit => Money::fromTyped($text, $currency, $this->office->sign)->toDecimal(),
                SideField::SendTo, SideField::Reference, SideField::AccountNumber => NamePart::tidy($text),
                default => null,
            };
        }

        return null;
    }

    /** The name of listed terms; shorthand where none are that. */
    private function terms(string $text): string
    {
        foreach (array_keys($this->office->terms) as $name) {
            if (Fold::text($name) === Fold::text($text)) {
                return $name;
            }
        }
        $shorthand = Shorthand::read($text)->toShorthand();
        $listed = array_search($shorthand, $this->office->terms, true);

        return is_string($listed) ? $listed : $shorthand;
    }

    private function colleague(string $text): string
    {
        foreach ($this->office->colleagues as $name) {
            if (Fold::text($name) === Fold::text($text)) {
                return $name;
            }
        }
        throw InterchangeRefused::unknownWord(
            $text,
            $this->office->colleagues === [] ? 'the name of a colleague' : 'the name of a colleague, such as '.$this->office->colleagues[0],
        );
    }

    private static function language(string $text): string
    {
        $code = mb_strtolower(trim($text));
        if (Languages::exists($code)) {
            return $code;
        }
        // en-US is English.
        $main = explode('-', strtr($code, '_', '-'))[0];
        $named = array_search($code, array_map(mb_strtolower(...), Languages::getNames('en')), true);

        return match (true) {
            is_string($named) => $named,
            Languages::exists($main) => $main,
            default => throw InterchangeRefused::unknownWord($text, 'a language, such as German or de'),
        };
    }

    /** @param  list<\BackedEnum&Titled>  $cases */
    private static function choice(string $text, array $cases): string
    {
        foreach ($cases as $case) {
            if (in_array(Fold::text(trim($text)), [Fold::text((string) $case->value), Fold::text($case->title())], true)) {
                return (string) $case->value;
            }
        }
        throw InterchangeRefused::unknownWord($text, implode(', ', array_map(fn (Titled $case) => $case->title(), $cases)));
    }

    private static function yesOrNo(string $text): string
    {
        return match (true) {
            in_array(Fold::text(trim($text)), self::YES, true) => 'yes',
            in_array(Fold::text(trim($text)), self::NO, true) => 'no',
            default => throw InterchangeRefused::unknownWord($text, 'yes or no'),
        };
    }

    private static function number(string $text): int
    {
        return preg_match('/^#?\s*(\d{1,9})$/', trim($text), $digits) === 1
            ? (int) $digits[1]
            : throw InterchangeRefused::unknownWord($text, 'a whole number');
    }
}
