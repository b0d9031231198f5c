<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/**
 * One envelope, with who gets it: somebody alone, a couple, or a household. How a household is called is common practice,
 * no published source.
 */
final readonly class Envelope
{
    /** More names than that on one envelope, and it is the household's. */
    private const NAMES = 2;

    /**
     * @param non-empty-list<Addressee> $to
     * @param list<string> $lines as they stand on it
     * @param string $greeting how the letter in it begins
     */
    private function __construct(public array $to, public array $lines, public string $greeting)
    {
    }

    /** @param  non-empty-list<Addressee>  $group */
    public static function of(array $group): self
    {
        $first = $group[0];
        $isCouple = count($group) === 2 && $first->togetherWith === $group[1]->id;
        if (count($group) === 1 || $isCouple) {
            return new self($group, $first->lines, $first->greeting);
        }
        $families = array_values(array_unique(array_map(fn (Addressee $one) => $one->family, $group)));
        [$names, $greeting] = match (true) {
            count($families) === 1 && $first->family !== '' => self::household($first->family),
            count($group) <= self::NAMES => [
                array_map(fn (Addressee $one) => $one->person, $group),
                self::both($group[0]->greeting, $group[1]->greeting),
            ],
            default => self::household(implode(' and ', array_slice($families, 0, 2))),
        };

        return new self($group, $first->lines === [] ? [] : [...$names, ...array_slice($first->lines, self::namesIn($first))], $greeting);
    }

    /** @return list<string> where it goes by email: to everybody who gets it and has one, each once */
    public function emails(): array
    {
        return array_values(array_unique(array_filter(
            array_map(fn (Addressee $one) => $one->email, $this->to),
            fn (string $email) => $email !== '',
        )));
    }

    /** @return array{list<string>, string} */
    private static function household(string $families): array
    {
        return [["The $families household"], "Dear members of the $families household:"];
    }

    /** "Dear Ms. Wren and Mr. Teale:" of "Dear Ms. Wren:" and "Dear Mr. Teale:". */
    private static function both(string $first, string $second): string
    {
        return rtrim($first, ':').' and '.preg_replace('/^Dear /', '', $second);
    }

    /** How many lines of an envelope are names: one, or two of a couple. */
    private static function namesIn(Addressee $one): int
    {
        return $one->togetherWith !== null && str_ends_with($one->lines[0], ' and') ? 2 : 1;
    }
}
