<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Finding\Fold;
use Almanac\TaxIds\TaxIdKind;

/**
 * What a line would change of a record that is in the book: nothing, where the record is to be left; what is empty; or
 * everything that it says otherwise. What the line does not say stays, and nothing is ever taken off.
 *
 * @phpstan-import-type Postal from PartyRow
 * @phpstan-import-type Held from PartyRow
 * @phpstan-import-type Code from PartyRow
 * @phpstan-import-type TaxNumber from PartyRow
 * @phpstan-import-type Account from PartyRow
 */
final class RowChanges
{
    /** Of the values of a line, those that only say which record it is. */
    private const ASIDE = ['number', 'balance-on'];

    /** Which of them are no where nothing is said. */
    private const YES_OR_NO = ['client', 'vendor', 'informal', 'deceased'];

    /** Which of them are a day, of which some say no more than that there is one. */
    private const SINCE = ['no-letters', 'deceased'];

    /** @var list<RowChange> as they are told */
    public array $changes = [];

    /** @var array<int, Postal> as the one at that place will be */
    public array $moved = [];

    /** @var array<int, Held> those that are other, by their place */
    public array $held = [];

    /** What comes to the record, or instead of what was there: single values, and those of which there may be several. */
    public readonly PartyRow $added;

    private function __construct(private readonly PartyRow $kept, private readonly PartyRow $read, private readonly bool $takes)
    {
        $this->added = new PartyRow(
            $kept->kind, $this->values(), $this->points(), $this->addresses(), $this->positions(),
            $this->words('types', $kept->types, $read->types), $this->words('tags', $kept->tags, $read->tags),
            $this->codes(), $this->taxNumbers(), $this->accounts(), $this->note(),
        );
    }

    /** @return self|null null where nothing would be other */
    public static function between(PartyRow $kept, PartyRow $read, OnExisting $how): ?self
    {
        $changes = $how === OnExisting::Leave ? null : new self($kept, $read, $how === OnExisting::TakeOver);

        return $changes === null || $changes->changes === [] ? null : $changes;
    }

    private function say(string $key, string $title, string $from, string $to): void
    {
        $this->changes[] = new RowChange($key, $title, $from, $to);
    }

    /** @return array<string, string> */
    private function values(): array
    {
        $values = [];
        foreach (array_diff_key($this->read->values, array_flip(self::ASIDE)) as $key => $value) {
            $was = $this->kept->value($key);
            $isEmpty = $was === '' || ($was === 'no' && in_array($key, self::YES_OR_NO, true));
            $isSaid = $value === 'yes' && ! $isEmpty && in_array($key, self::SINCE, true);
            if ($value === '' || $value === $was || $isSaid || ($isEmpty ? $value === 'no' : ! $this->takes)) {
                continue;
            }
            $values[$key] = $value;
            $this->say($key, PartyColumns::all()[$key]->title ?? $key, $was, $value);
        }

        return $values;
    }

    /** @return list<array{kind: string, value: string, typed: string, label: string}> */
    private function points(): array
    {
        $form = fn (array $one): string => "$one[kind] ".Fold::text($one['value']);
        $known = array_map($form, $this->kept->points);
        $added = array_values(array_filter($this->read->points, fn (array $one) => ! in_array($form($one), $known, true)));
        foreach ($added as $point) {
            $this->say($point['kind'], PartyColumns::all()[$point['kind']]->title, '', trim("$point[typed] $point[label]"));
        }

        return $added;
    }

    /** @return list<Postal> */
    private function addresses(): array
    {
        $changes = AddressChanges::between($this->kept->addresses, $this->read->addresses, $this->takes);
        $this->moved = $changes->moved;
        foreach ($changes->told as [$from, $to]) {
            $this->say('address', 'Address', $from, $to);
        }

        return $changes->added;
    }

    /** @return list<Held> */
    private function positions(): array
    {
        $told = fn (array $one): string => implode(', ', array_filter([$one['title'], $one['department'], $one['company']]));
        $company = fn (array $one): string => Fold::text($one['company']);
        $known = array_map($company, $this->kept->positions);
        $places = Places::of(
            $this->kept->positions,
            $this->read->positions,
            $company,
            fn (array $one): string => "$one[title]\n$one[department]",
        );
        $added = [];
        foreach ($this->read->positions as $number => $position) {
            $at = $places[$number];
            if ($at === null) {
                if ($this->takes || ! in_array($company($position), $known, true)) {
                    $added[] = $position;
                    $this->say('company', 'Position', '', $told($position));
                }

                continue;
            }
            $was = $is = $this->kept->positions[$at];
            foreach (['title', 'department'] as $part) {
                $is[$part] = $position[$part] !== '' && ($this->takes || $was[$part] === '') ? $position[$part] : $was[$part];
            }
            if ($is !== $was) {
                $this->held[$at] = $is;
                $this->say('company', 'Position', $told($was), $told($is));
            }
        }

        return $added;
    }

    /**
     * @param list<string> $kept
     * @param list<string> $read
     *
     * @return list<string>
     */
    private function words(string $key, array $kept, array $read): array
    {
        $known = array_map(Fold::text(...), $kept);
        $added = array_values(array_filter($read, fn (string $word) => ! in_array(Fold::text($word), $known, true)));
        if ($added !== []) {
            $this->say($key, PartyColumns::all()[$key]->title, implode('; ', $kept), implode('; ', [...$kept, ...$added]));
        }

        return $added;
    }

    /** @return list<Code> */
    private function codes(): array
    {
        return $this->several(
            $this->kept->codes,
            $this->read->codes,
            fn (array $one) => Fold::text($one['system']),
            fn (array $one) => Fold::text($one['value']),
            fn (array $one, string $was) => $this->say('code', ucfirst($one['system']), $was, $one['value']),
        );
    }

    /** @return list<TaxNumber> */
    private function taxNumbers(): array
    {
        return $this->several(
            $this->kept->taxNumbers,
            $this->read->taxNumbers,
            fn (array $one) => "$one[kind] $one[country]",
            fn (array $one) => $one['value'],
            // They are private: that there is another is told, and not which.
            fn (array $one, string $was) => $this->say(
                'tax', TaxIdKind::from($one['kind'])->title(), $was === '' ? '' : self::masked($was), self::masked($one['value']),
            ),
        );
    }

    /**
     * Those of which there may be several of a kind: a new one takes the place of one that the line does not name.
     *
     * @template T of array{value: string, ...}
     *
     * @param list<T> $kept
     * @param list<T> $read
     * @param \Closure(T): string $kind
     * @param \Closure(T): string $value
     * @param \Closure(T, string): void $say what it says, and in whose place
     *
     * @return list<T> with those of the line that are there already, where there are others
     */
    private function several(array $kept, array $read, \Closure $kind, \Closure $value, \Closure $say): array
    {
        $kinds = array_map($kind, $kept);
        $stay = $new = [];
        foreach (Places::of($kept, $read, $kind, $value) as $at => $place) {
            $one = $read[$at];
            if ($place !== null && $value($kept[$place]) === $value($one)) {
                $stay[] = $kept[$place];
            } elseif ($this->takes || ! in_array($kind($one), $kinds, true)) {
                $new[] = $one;
                $say($one, $place === null ? '' : $kept[$place]['value']);
            }
        }

        return $new === [] ? [] : [...$stay, ...$new];
    }

    /** @return list<Account> */
    private function accounts(): array
    {
        $form = fn (array $one): string => preg_replace('/\W/', '', $one['iban'].$one['routing'].$one['sortCode'].$one['account']) ?? '';
        $known = array_map($form, $this->kept->accounts);
        $added = array_values(array_filter($this->read->accounts, fn (array $one) => ! in_array($form($one), $known, true)));
        foreach ($added as $account) {
            $this->say('account', 'Bank details', '', self::masked($account['iban'].$account['account']).', on hold');
        }

        return $added;
    }

    private function note(): string
    {
        if ($this->read->note === '' || str_contains($this->kept->note, $this->read->note)) {
            return '';
        }
        $this->say('note', PartyColumns::all()['note']->title, '', $this->read->note);

        return $this->read->note;
    }

    private static function masked(string $value): string
    {
        return '•••• '.substr($value, -4);
    }
}
