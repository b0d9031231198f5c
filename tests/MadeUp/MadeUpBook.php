<?php

declare(strict_types=1);

namespace Tests\MadeUp;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\Likeness;

/**
 * A made-up book of which it is known who is the same: people and companies entered once, and some again in another hurry
 * (slips, short names, moves, weddings, formats, gaps); and those whom one takes for the same and who are not (father and
 * son, twins, spouses on one phone, branches, firms of one family, a common name, a front desk).
 */
final class MadeUpBook
{
    /** @var list<Entered> */
    private array $records = [];

    private int $entities = 0;

    /** @var array<string, int> how often each was wanted */
    private array $emails = [];

    /** @var non-empty-list<string> */
    private array $families;

    private function __construct(private readonly Chance $chance, private readonly int $size)
    {
        $families = Words::FAMILIES;
        for ($n = 0; $n < max(400, intdiv($size, 3)); $n++) {
            $families[] = implode('', array_map($this->chance->one(...), Words::SYLLABLES));
        }
        $this->families = $families;
    }

    public static function of(int $seed, int $size = 6000): self
    {
        $book = new self(new Chance($seed), $size);
        while (count($book->records) < $size) {
            $book->chance->is(0.62) ? $book->people() : $book->companies();
        }

        return $book;
    }

    /** @return list<Entered> */
    public function records(): array
    {
        return array_slice($this->records, 0, $this->size);
    }

    /** @return list<Likeness> */
    public function likenesses(): array
    {
        return array_map(fn (Entered $one) => $one->likeness(), $this->records());
    }

    /** @return array<string, true> the pairs that are the same, as "first second" by their places */
    public function truth(): array
    {
        $places = $pairs = [];
        foreach ($this->records() as $at => $one) {
            foreach ($places[$one->entity] ?? [] as $other) {
                $pairs["$other $at"] = true;
            }
            $places[$one->entity][] = $at;
        }

        return $pairs;
    }

    private function people(): void
    {
        $one = $this->person();
        $others = match (true) {
            $this->chance->is(0.06) => [$this->spouseOf($one)],
            $this->chance->is(0.02) && in_array($one->given, Words::MEN, true) => [$this->sonOf($one)],
            $this->chance->is(0.02) => [$this->twinOf($one)],
            $this->chance->is(0.025) => [$this->childOf($one), $this->childOf($one)],
            $this->chance->is(0.03) => array_map(fn () => $this->colleagueOf($one), range(1, $this->chance->between(1, 6))),
            $this->chance->is(0.02) => [$this->namesakeOf($one)],
            default => [],
        };
        foreach ([$one, ...$others] as $other) {
            $this->enter($other);
        }
    }

    private function companies(): void
    {
        $one = $this->company();
        $others = match (true) {
            $this->chance->is(0.04) => array_map(fn () => $this->branchOf($one), range(1, $this->chance->between(1, 4))),
            $this->chance->is(0.035) => [$this->firmOfFamilyOf($one)],
            $this->chance->is(0.03) => [$this->neighbourOf($one)],
            $this->chance->is(0.02) => [$this->namesakeOf($one)],
            default => [],
        };
        foreach ([$one, ...$others] as $other) {
            $this->enter($other);
        }
    }

    /** Once as well as one can, and now and then again. */
    private function enter(Entered $one): void
    {
        $this->records[] = $this->lessOf($one, 0.12);
        while ($this->chance->is(0.13)) {
            $this->records[] = $this->again($one);
        }
    }

    /** What somebody in a hurry leaves out. */
    private function lessOf(Entered $one, float $often): Entered
    {
        $record = clone $one;
        $record->middle = $this->chance->is($often * 2) ? '' : $record->middle;
        $record->suffix = $this->chance->is($often) ? '' : $record->suffix;
        $record->middle = $this->chance->is(0.45) ? mb_substr($record->middle, 0, 1) : $record->middle;
        foreach (['phones', 'emails', 'places', 'numbers', 'websites', 'employers'] as $part) {
            $record->$part = $this->chance->is($often) ? [] : $record->$part;
        }
        $record->born = $this->chance->is(0.4) ? null : $record->born;
        // Nobody is entered of whom nothing is known but the name.
        if ([...$record->phones, ...$record->emails, ...$record->places, ...$record->numbers] === []) {
            $record->phones = $one->phones === [] ? [$this->phone()] : $one->phones;
        }

        return $record;
    }

    private function again(Entered $one): Entered
    {
        $record = $this->lessOf($one, 0.22);
        $chance = $this->chance;
        if ($one->isPerson()) {
            $isMarried = $chance->is(0.03);
            $record->given = match (true) {
                isset(Words::SHORT[$one->given]) && $chance->is(0.25) => $chance->one(Words::SHORT[$one->given]),
                $chance->is(0.01) => $chance->one(Words::PET),
                $chance->is(0.05) => mb_substr($one->given, 0, 1),
                $chance->is(0.06) => $chance->slip($one->given),
                $one->middle !== '' && $chance->is(0.05) => $one->middle,
                default => $one->given,
            };
            $record->family = match (true) {
                $isMarried => $chance->common($this->families),
                $chance->is(0.08) => $chance->slip($one->family),
                $chance->is(0.05) => str_replace([' ', "'", '.', '-'], '', $one->family),
                $chance->is(0.02) => $one->family.'-'.$chance->common($this->families),
                default => $one->family,
            };
            if ($isMarried) {
                $record->middle = $chance->is(0.35) ? $one->family : $record->middle;
                $record->formerly = $chance->is(0.25) ? [$one->family] : [];
            }
            if ($chance->is(0.03)) {
                [$record->given, $record->family] = [$record->family, $record->given];
            }
            $record->born = $record->born !== null && $chance->is(0.07) ? $this->slipOf($record->born) : $record->born;
        } else {
            $record->name = $this->otherwise($one->name);
        }
        $record->phones = $this->changed($record->phones, 0.2, fn () => [$this->phone()]);
        $record->emails = $this->changed($record->emails, 0.2, fn () => array_map(fn (string $email) => match (true) {
            $chance->is(0.4) => explode('@', $email)[0].'@'.$chance->one(['post.example', 'mail.example', 'web.example']),
            $chance->is(0.3) => str_replace('@', '+office@', $email),
            default => $this->email($record),
        }, $record->emails));
        $record->places = $chance->is(0.17) && $record->places !== [] ? [$this->place()] : array_map($this->dressed(...), $record->places);

        return $record;
    }

    /**
     * @template T
     *
     * @param list<T> $values
     * @param \Closure(): list<T> $other
     *
     * @return list<T>
     */
    private function changed(array $values, float $often, \Closure $other): array
    {
        return $values !== [] && $this->chance->is($often) ? $other() : $values;
    }

    private function person(): Entered
    {
        $chance = $this->chance;
        $isWoman = $chance->is(0.5);
        $one = new Entered($this->entities++);
        $one->given = $chance->common($isWoman ? Words::WOMEN : Words::MEN);
        $one->family = $chance->common($this->families);
        $one->middle = $chance->is(0.45) ? $chance->common($isWoman ? Words::WOMEN : Words::MEN) : '';
        $one->suffix = $chance->is(0.02) ? $chance->one(['III', 'Jr.', 'II']) : '';
        $one->born = $chance->is(0.4) ? $this->day(1935, 2004) : null;
        $one->phones = $chance->is(0.85) ? [$this->phone(), ...$chance->is(0.25) ? [$this->phone()] : []] : [];
        $one->emails = $chance->is(0.7) ? [$this->email($one)] : [];
        $one->places = $chance->is(0.85) ? [$this->place()] : [];
        $one->numbers = $chance->is(0.12) ? [$this->number('ssn')] : [];
        $one->employers = $chance->is(0.2) ? [$chance->between(1, 900)] : [];

        return $one;
    }

    private function company(): Entered
    {
        $chance = $this->chance;
        $one = new Entered($this->entities++);
        $one->name = match ($chance->between(0, 4)) {
            0 => $chance->common($this->families).' '.$chance->one(Words::TRADES),
            1 => $chance->common($this->families).' & '.$chance->one(['Sons', 'Company', 'Daughters', $chance->common($this->families)]),
            2 => $chance->common(Words::FIRST).' '.$chance->one(Words::TRADES),
            3 => $chance->common($this->families).' Brothers '.$chance->one(Words::TRADES),
            default => $chance->one(Words::FIRST).' '.$chance->one(Words::TRADES).' '.$chance->one([
                'Services', 'Associates', 'Group', 'Company',
            ]),
        }.$chance->one(['', '', ', Inc.', ' LLC', ' Co.', ' Ltd.']);
        $one->phones = $chance->is(0.9) ? [$this->phone(), ...$chance->is(0.2) ? [$this->phone()] : []] : [];
        $host = mb_strtolower(preg_replace('/[^A-Za-z]+/', '', explode(',', $one->name)[0]) ?? '').$chance->between(1, 99).'.example';
        $one->websites = $chance->is(0.5) ? ["https://www.$host/"] : [];
        $one->emails = $chance->is(0.7)
            ? [$chance->one(['info', 'office', 'accounts', mb_strtolower($chance->one(Words::WOMEN))])."@$host"]
            : [];
        $one->places = $chance->is(0.92) ? [$this->place()] : [];
        $one->numbers = $chance->is(0.3) ? [$this->number('ein')] : [];

        return $one;
    }

    private function spouseOf(Entered $one): Entered
    {
        $other = $this->person();
        $other->family = $this->chance->is(0.9) ? $one->family : $other->family;
        $other->places = $one->places;
        $other->phones = $this->chance->is(0.6) ? $one->phones : $other->phones;
        $other->emails = $this->chance->is(0.25) ? $one->emails : $other->emails;

        return $other;
    }

    private function sonOf(Entered $one): Entered
    {
        $son = $this->person();
        [$son->given, $son->family, $son->middle] = [$one->given, $one->family, $this->chance->is(0.6) ? $one->middle : $son->middle];
        $son->suffix = $this->chance->is(0.85) ? 'Jr.' : '';
        $one->suffix = $this->chance->is(0.5) ? 'Sr.' : '';
        $son->born = $this->chance->is(0.55) ? $this->day(1965, 2004) : null;
        $son->places = $this->chance->is(0.5) ? $one->places : $son->places;
        $son->phones = $this->chance->is(0.35) ? $one->phones : $son->phones;

        return $son;
    }

    private function twinOf(Entered $one): Entered
    {
        $twin = $this->childOf($one);
        $twin->born = $one->born ??= $this->day(1970, 2004);

        return $twin;
    }

    /** Of the same family and house; with another given name, which now and then begins alike. */
    private function childOf(Entered $one): Entered
    {
        $child = $this->person();
        if ($this->chance->is(0.3)) {
            $alike = array_values(array_filter(
                [...Words::MEN, ...Words::WOMEN],
                fn (string $name) => $name[0] === $one->given[0] && $name !== $one->given,
            ));
            $child->given = $alike === [] ? $child->given : $this->chance->one($alike);
        }
        while ($child->given === $one->given) {
            $child->given = $this->chance->one([...Words::MEN, ...Words::WOMEN]);
        }
        [$child->family, $child->places] = [$one->family, $one->places];
        $child->phones = $this->chance->is(0.5) ? $one->phones : $child->phones;

        return $child;
    }

    /** Behind the same front desk. */
    private function colleagueOf(Entered $one): Entered
    {
        $other = $this->person();
        $other->employers = $one->employers = $one->employers === [] ? [$this->chance->between(1000, 9999)] : $one->employers;
        $other->places = $one->places;
        $other->phones = $one->phones;

        return $other;
    }

    private function namesakeOf(Entered $one): Entered
    {
        $other = $one->isPerson() ? $this->person() : $this->company();
        [$other->given, $other->family, $other->name] = [$one->given, $one->family, $one->name];

        return $other;
    }

    private function branchOf(Entered $one): Entered
    {
        $branch = $this->company();
        $town = $this->chance->one(Words::TOWNS);
        $branch->name = $one->name.match ($this->chance->between(0, 8)) {
            0, 4 => " - $town branch",
            1, 5 => ", $town office",
            2, 6 => " ($town)",
            3, 7 => ' '.$this->chance->one(['North', 'South', 'East', 'West', 'Downtown']),
            default => '',
        };
        $branch->websites = $one->websites;
        $branch->emails = $this->chance->is(0.3) ? $one->emails : $branch->emails;
        $branch->numbers = $this->chance->is(0.5) ? $one->numbers : [];

        return $branch;
    }

    /** Hall Plumbing and Hall Electric, side by side. */
    private function firmOfFamilyOf(Entered $one): Entered
    {
        $firm = $this->company();
        $firm->name = explode(' ', $one->name)[0].' '.$this->chance->one(Words::TRADES);
        $firm->places = $this->chance->is(0.6) ? $one->places : $firm->places;
        $firm->phones = $this->chance->is(0.5) ? $one->phones : $firm->phones;
        $firm->websites = $this->chance->is(0.2) ? $one->websites : $firm->websites;

        return $firm;
    }

    private function neighbourOf(Entered $one): Entered
    {
        $other = $this->company();
        $other->places = array_map(
            fn (array $place) => [$place[0]."\nSuite ".$this->chance->between(1, 40), $place[1], $place[2]],
            $one->places,
        );
        $other->phones = $this->chance->is(0.2) ? $one->phones : $other->phones;

        return $other;
    }

    /** A company's name as another hurry writes it. */
    private function otherwise(string $name): string
    {
        $chance = $this->chance;
        if ($chance->is(0.45)) {
            $name = preg_replace('/,? (Inc\.|LLC|Co\.|Ltd\.)$/', '', $name).$chance->one(['', '', ' Inc', ', LLC', ' Company']);
        }
        if ($chance->is(0.35)) {
            $name = strtr($name, Words::SHORTER);
        }
        if ($chance->is(0.12)) {
            $words = explode(' ', $name);
            $at = $chance->between(0, count($words) - 1);
            $words[$at] = $chance->slip($words[$at]);
            $name = implode(' ', $words);
        }
        if ($chance->is(0.08) && count(explode(' ', $name)) > 2) {
            $name = implode(' ', array_slice(explode(' ', $name), 0, -1));
        }
        if ($chance->is(0.02)) {
            $name = implode(
                '',
                array_map(fn (string $word) => mb_substr($word, 0, 1), preg_split('/\W+/u', $name, -1, PREG_SPLIT_NO_EMPTY) ?: []),
            );
        }

        return $chance->is(0.1)
            ? mb_strtoupper($name)
            : ($chance->is(0.05) ? "The $name" : str_replace('&', $chance->is(0.3) ? 'and' : '&', $name));
    }

    /**
     * @param array{string, string, string} $place
     *
     * @return array{string, string, string}
     */
    private function dressed(array $place): array
    {
        $chance = $this->chance;
        [$lines, $town, $postcode] = $place;
        $lines = match (true) {
            $chance->is(0.45) => strtr($lines, Words::SHORTER),
            $chance->is(0.15) => mb_strtoupper($lines),
            $chance->is(0.1) => str_replace("\n", ', ', $lines),
            default => $lines,
        };
        if ($chance->is(0.06)) {
            $lines = preg_replace_callback('/[A-Z][a-z]{3,}/', fn (array $word) => $chance->slip($word[0]), $lines, 1) ?? $lines;
        }

        return [
            $lines,
            $chance->is(0.05) ? '' : $town,
            $chance->is(0.1) ? $postcode.'-'.$chance->between(1000, 9999) : ($chance->is(0.05) ? '' : $postcode),
        ];
    }

    /** @return array{string, string, string} */
    private function place(): array
    {
        $chance = $this->chance;
        $at = $chance->between(0, count(Words::TOWNS) - 1);
        $lines = $chance->is(0.06)
            ? 'PO Box '.$chance->between(1, 900)
            : $chance->between(1, 400).' '.$chance
                ->common(Words::STREETS).' '.$chance
                ->one(['Street', 'Street', 'Road', 'Avenue', 'Lane', 'Drive', 'Court']);

        return [
            $lines.($chance->is(0.12) ? "\n".$chance->one(['Apartment ', 'Suite ', 'Unit ']).$chance->between(1, 30) : ''),
            Words::TOWNS[$at],
            sprintf('05%03d', 100 + $at * 7),
        ];
    }

    private function phone(): string
    {
        return '+1802555'.sprintf('%04d', $this->chance->between(0, 9999)).$this->chance->between(0, 9);
    }

    private function email(Entered $one): string
    {
        $plain = fn (string $name) => mb_strtolower(preg_replace('/[^A-Za-z]+/', '', $name) ?? '') ?: 'post';
        $local = match ($this->chance->between(0, 3)) {
            0 => $plain($one->given).'.'.$plain($one->family),
            1 => substr($plain($one->given), 0, 1).$plain($one->family),
            2 => $plain($one->family).$this->chance->between(1, 99),
            default => $plain($one->given).$this->chance->between(1, 999),
        };

        $email = $local.'@'.$this->chance->one([
            'post.example', 'mail.example', 'web.example', 'valley.example',
            'office'.$this->chance->between(1, 60).'.example',
        ]);
        // Who comes later to the same post office finds the name taken.
        $times = $this->emails[$email] = ($this->emails[$email] ?? 0) + 1;

        return $times === 1 ? $email : str_replace('@', "$times@", $email);
    }

    private function number(string $kind): string
    {
        return $kind.'|'.$this->chance->between(100_000_000, 999_999_999);
    }

    private function day(int $from, int $to): Day
    {
        return Day::fromIso(sprintf(
            '%d-%02d-%02d', $this->chance->between($from, $to), $this->chance->between(1, 12), $this->chance->between(1, 28),
        ));
    }

    private function slipOf(Day $day): Day
    {
        [$year, $month, $of] = explode('-', $day->toIso());

        return $this->chance->is(0.5) && (int) $of <= 12
            ? Day::fromIso("$year-$of-$month")
            : Day::fromIso(substr($year, 0, 3).$this->chance->between(0, 9)."-$month-$of");
    }
}
