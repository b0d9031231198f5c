<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Finding\Fold;
use Almanac\Names\CompanySign;
use Almanac\Names\NamePart;
use Almanac\Records\PartyKind;
use Almanac\Records\Wording;
use Almanac\Refusal;

/**
 * Reads lines of a table of people and companies by what its columns were said to be. What is wrong is told by column, and
 * nothing of such a line is taken.
 *
 * @phpstan-import-type Held from PartyRow
 */
final class PartyReader
{
    private const NOTE = 5000;

    /** @var list<array{int, string}> */
    private array $problems = [];

    private readonly PlainValues $plain;

    /** @var array<string, int> the first of each kind */
    private readonly array $columns;

    /** @param  list<Target|null>  $targets  what each column is */
    private function __construct(private readonly array $targets, private readonly ReadingOffice $office)
    {
        $this->plain = new PlainValues($office);
        $columns = [];
        foreach ($targets as $column => $target) {
            $columns[$target->key ?? ''] ??= $column;
        }
        $this->columns = $columns;
    }

    /** @param  list<Target|null>  $targets  what each column is */
    public static function of(array $targets, ReadingOffice $office): self
    {
        return new self($targets, $office);
    }

    /** @param  list<string>  $cells */
    public function read(array $cells): ReadLine
    {
        [$line, $ahead] = $this->line($cells);
        $this->problems = $ahead;
        $named = $line->names();
        $kind = $this->kind($line, $named);
        $names = new NameReader($this->at(...));
        $values = $kind === PartyKind::Person ? $names->person($line) : $names->company($line, $named);
        $values += $this->values($line);
        $numbers = new NumbersReader($this->office, $this->at(...));
        $reach = new ReachReader($this->office, $this->at(...));
        $addresses = $reach->addresses($line, array_filter([$named, $line->text('company')]));
        $row = new PartyRow(
            $kind,
            $values + $this->life($line, $kind),
            $reach->points($line, $addresses[0]['country'] ?? $this->office->country),
            $addresses,
            $kind === PartyKind::Person ? $this->positions($line) : [],
            $this->types($line),
            $this->words($line, 'tags'),
            $numbers->codes($line),
            $numbers->taxNumbers($line),
            $numbers->accounts($line),
            (string) $line->each(
                'note',
                fn (int $column, string $text) => $this->at($column, fn () => Wording::paragraphs($text, self::NOTE, '')),
                "\n",
            ),
        );

        return new ReadLine($this->problems === [] ? $row : null, self::first($this->problems, array_column($ahead, 0)));
    }

    /**
     * What is far too long is told so, and not also to be missing.
     *
     * @param list<array{int, string}> $problems
     * @param list<int> $columns of which there is nothing more to say
     *
     * @return list<array{int, string}>
     */
    private static function first(array $problems, array $columns): array
    {
        $told = [];

        return array_values(array_filter($problems, function (array $one) use ($columns, &$told): bool {
            $isMore = in_array($one[0], $columns, true) && isset($told[$one[0]]);
            $told[$one[0]] = true;

            return ! $isMore;
        }));
    }

    /**
     * @param list<string> $cells
     *
     * @return array{TargetedLine, list<array{int, string}>} and what is too long or was unreadable
     */
    private function line(array $cells): array
    {
        $kept = $problems = [];
        foreach ($this->targets as $column => $target) {
            $text = trim($cells[$column] ?? '');
            // What was masked when it was written says nothing about what it is.
            if ($target === null || $text === '' || str_contains($text, '••')) {
                continue;
            }
            if (mb_strlen($text) > TableFile::LONGEST_CELL) {
                $problems[] = [$column, 'This is over '.number_format(TableFile::LONGEST_CELL).' letters long. Shorten it.'];

                continue;
            }
            if ($target->key === AddressBook::UNREADABLE) {
                $problems[] = [$column, $text];
            }
            $kept[] = [$column, $target, self::undefused($text)];
        }

        return [new TargetedLine($kept, $this->columns), $problems];
    }

    /** The apostrophe that keeps a spreadsheet from running a cell is none of its text. */
    private static function undefused(string $text): string
    {
        return preg_match("/^'[=+\\-@\t]/", $text) === 1 ? substr($text, 1) : $text;
    }

    private function kind(TargetedLine $line, string $name): PartyKind
    {
        $said = $line->cell('kind');
        if ($said !== null) {
            return $this->at($said[0], fn () => $this->plain->kind($said[1])) ?? PartyKind::Company;
        }

        return match (true) {
            $line->saysPerson() => PartyKind::Person,
            $name === '' => PartyKind::Company,
            $line->cell('company') !== null && Fold::text($line->text('company')) !== Fold::text($name) => PartyKind::Person,
            $this->office->kind !== null => $this->office->kind,
            default => CompanySign::isOn($name) ? PartyKind::Company : PartyKind::Person,
        };
    }

    /** @return array<string, string> what is one plain value, whoever it is of */
    private function values(TargetedLine $line): array
    {
        $values = [];
        foreach ($line->all() as [$column, $target, $text]) {
            $key = $target->key === 'detail' ? $target->text() : $target->key;
            $value = $this->at($column, fn () => $this->plain->read($key, $text, $this->currency($line, $key)));
            if (is_string($value)) {
                $values[$key] = $value;
            }
        }
        // How somebody said so, who did not say so, is nothing.
        if (($values['no-letters'] ?? '') === '') {
            unset($values['no-letters-how']);
        }
        $role = $line->cell('role');
        if ($role !== null) {
            $values = ($this->at($role[0], fn () => $this->plain->role($role[1])) ?? []) + $values;
        }

        return $values + array_fill_keys($this->office->roles, 'yes');
    }

    /** In which a limit is: that of the side, where the line names one. */
    private function currency(TargetedLine $line, string $key): ?string
    {
        $said = str_ends_with($key, '-limit') ? $line->text(substr($key, 0, -strlen('limit')).'currency') : '';
        try {
            return $said === '' ? null : $this->plain->read('client-currency', $said);
        } catch (Refusal) {
            // Told where it stands.
            return null;
        }
    }

    /** @return array<string, string> what only people have */
    private function life(TargetedLine $line, PartyKind $kind): array
    {
        $values = [];
        foreach ($kind === PartyKind::Person ? ['birth-date', 'deceased', 'informal'] : [] as $key) {
            $cell = $line->cell($key);
            $value = $cell === null ? null : $this->at($cell[0], fn () => $this->plain->life($key, $cell[1]));
            if ($value !== null) {
                $values[$key] = $value;
            }
        }

        return $values;
    }

    /** @return list<Held> */
    private function positions(TargetedLine $line): array
    {
        $positions = [];
        foreach ($line->groups(['company', 'job-title', 'department']) as $group) {
            $part = fn (string $key) => isset($group[$key]) ? (string) $this->at(
                $group[$key][0][0],
                fn () => NamePart::tidy($group[$key][0][1]),
            ) : '';
            $position = ['company' => $part('company'), 'title' => $part('job-title'), 'department' => $part('department')];
            // What somebody is, without saying where, is no position.
            if ($position['company'] !== '') {
                $positions[] = $position;
            }
        }

        return $positions;
    }

    /** @return list<string> */
    private function types(TargetedLine $line): array
    {
        $types = [];
        foreach ($line->several('types') as [$column, $text]) {
            $type = $this->at($column, fn () => $this->plain->type($text));
            if ($type !== null) {
                $types[] = $type;
            }
        }

        return array_values(array_unique($types));
    }

    /** @return list<string> */
    private function words(TargetedLine $line, string $key): array
    {
        $words = [];
        foreach ($line->several($key) as [$column, $text]) {
            $word = $this->at($column, fn () => Wording::line($text, 60, 'Type a name for it.'));
            if ($word !== null) {
                $words[] = $word;
            }
        }

        return array_values(array_unique($words));
    }

    /**
     * @template T
     *
     * @param \Closure(): T $read
     *
     * @return T|null
     */
    private function at(int $column, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (Refusal $refusal) {
            $this->problems[] = [$column, $refusal->getMessage()];

            return null;
        }
    }
}
