<?php

declare(strict_types=1);

namespace Almanac\Addresses;

/** Who an envelope is for: a person, an organisation, or a person at one. */
final readonly class Recipient
{
    private function __construct(public string $person, public string $organisation)
    {
    }

    public static function person(string $name, string $organisation = ''): self
    {
        return new self($name, $organisation);
    }

    public static function organisation(string $name): self
    {
        return new self('', $name);
    }

    /** @return list<string> */
    public function lines(bool $organisationFirst): array
    {
        $lines = $organisationFirst ? [$this->organisation, $this->person] : [$this->person, $this->organisation];

        return array_values(array_filter($lines, fn (string $line) => $line !== ''));
    }
}
