<?php

declare(strict_types=1);

namespace Tests\MadeUp;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\Likeness;

/** A record of a made-up book, and whose it truly is. */
final class Entered
{
    public string $given = '';

    public string $middle = '';

    public string $family = '';

    public string $suffix = '';

    /** Of a company; empty for a person. */
    public string $name = '';

    public ?Day $born = null;

    /** @var list<string> */
    public array $formerly = [];

    /** @var list<string> */
    public array $phones = [];

    /** @var list<string> */
    public array $emails = [];

    /** @var list<string> */
    public array $websites = [];

    /** @var list<array{string, string, string}> lines, town and postcode */
    public array $places = [];

    /** @var list<string> */
    public array $numbers = [];

    /** @var list<int> */
    public array $employers = [];

    public function __construct(public readonly int $entity)
    {
    }

    public function isPerson(): bool
    {
        return $this->name === '';
    }

    public function likeness(): Likeness
    {
        return $this->isPerson()
            ? Likeness::person(
                $this->given, $this->family, $this->phones, $this->emails, $this->places, $this->numbers,
                middle: $this->middle, suffix: $this->suffix, formerly: $this->formerly, born: $this->born, employers: $this->employers,
            )
            : Likeness::company($this->name, $this->phones, $this->emails, $this->places, $this->numbers, websites: $this->websites);
    }
}
