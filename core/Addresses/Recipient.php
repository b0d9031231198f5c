<?php

declare(strict_types=1);

namespace Almanac\Addresses;

/** Who an envelope is for: people, an organisation, or people at one; to whose attention, and in whose care. */
final readonly class Recipient
{
    /** @param  list<string>  $people a line each */
    private function __construct(
        private array $people,
        private string $organisation,
        private string $attention = '',
        private string $careOf = '',
    ) {
    }

    public static function person(string $name, string $organisation = ''): self
    {
        return new self([$name], $organisation);
    }

    /** @param  list<string>  $lines a line for each, or one for both */
    public static function people(array $lines): self
    {
        return new self($lines, '');
    }

    public static function organisation(string $name): self
    {
        return new self([], $name);
    }

    /** A desk or a person whom it is for; empty for none. */
    public function attention(string $whom): self
    {
        return new self($this->people, $this->organisation, $whom, $this->careOf);
    }

    /** Whoever takes it in for them; empty for nobody. */
    public function inCareOf(string $whom): self
    {
        return new self($this->people, $this->organisation, $this->attention, $whom);
    }

    /** @return list<string> */
    public function lines(bool $organisationFirst): array
    {
        $attention = $this->attention === '' ? '' : 'Attn: '.$this->attention;
        $lines = $organisationFirst
            ? [$this->organisation, ...$this->people, $attention]
            : [...$this->people, $attention, $this->organisation];

        return array_values(array_filter(
            [...$lines, $this->careOf === '' ? '' : 'c/o '.$this->careOf],
            fn (string $line) => $line !== '',
        ));
    }
}
