<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Finding\Fold;
use Almanac\Names\CompanyName;
use Almanac\Names\NamePart;
use Almanac\Names\PersonName;
use Almanac\Names\TypedPersonName;

/** Reads whose line it is: the name of a person, by its parts, whole or half and whole; what a company is called. */
final readonly class NameReader
{
    private const NAME_PARTS = ['prefix', 'given', 'middle', 'family', 'suffix', 'post-nominals', 'preferred', 'pronouns'];

    private const FIRM_PARTS = ['legal-name', 'payee', 'legal-form', 'registration-number', 'industry'];

    /** @param  \Closure(int, \Closure): mixed  $at  reads, and notes what is refused at the column */
    public function __construct(private \Closure $at)
    {
    }

    /** @return array<string, string> the parts of a person's name */
    public function person(TargetedLine $line): array
    {
        $parts = [];
        foreach (self::NAME_PARTS as $key) {
            $cell = $line->cell($key);
            $parts[$key] = $cell === null ? '' : (string) ($this->at)($cell[0], fn () => NamePart::tidy($cell[1]));
        }
        $whole = $parts['given'] === '' || $parts['family'] === '' ? $line->cell('name') : null;
        $read = $whole === null ? null : ($this->at)($whole[0], fn () => TypedPersonName::read($whole[1])->name);
        if ($whole !== null && ($read === null || self::isMore($read, $parts))) {
            $parts = ($read === null ? [] : PartyColumns::nameParts($read)) + array_filter(
                $parts,
                fn (string $part) => $part !== '',
            ) + $parts;
        } else {
            // The whole name says nothing that its parts do not, or something else.
            ($this->at)($line->column('given', 'family', 'name', 'company'), fn () => PersonName::of($parts['given'], $parts['family']));
        }

        return $parts;
    }

    /**
     * Whether the whole name says the half of it that its parts do not, and the other half as they do.
     *
     * @param array<string, string> $parts
     */
    private static function isMore(PersonName $whole, array $parts): bool
    {
        $said = array_map(Fold::text(...), $parts);
        $isSame = fn (string $part, string $read): bool => $said[$part] === ''
            ? ! in_array(Fold::text($read), $said, true)
            : $said[$part] === Fold::text($read);

        return ($said['given'].$said['family'] === '') || ($isSame('given', $whole->given) && $isSame('family', $whole->family));
    }

    /**
     * @param string $name the whole name, as it stands in one cell
     *
     * @return array<string, string>
     */
    public function company(TargetedLine $line, string $name): array
    {
        $values = ['name' => (string) ($this->at)($line->column('name', 'company', 'legal-name', 'given', 'family'), fn () => match (true) {
            $name !== '' => CompanyName::of($name)->name,
            $line->text('company') !== '' => CompanyName::of($line->text('company'))->name,
            default => throw InterchangeRefused::nameless(),
        })];
        foreach (self::FIRM_PARTS as $key) {
            $cell = $line->cell($key);
            $values[$key] = $cell === null ? '' : (string) ($this->at)($cell[0], fn () => NamePart::tidy($cell[1]));
        }

        return $values;
    }
}
