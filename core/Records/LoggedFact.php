<?php

declare(strict_types=1);

namespace Almanac\Records;

/** One thing a section says, in words: "Phone" is "(802) 555-0142, office, primary". */
final readonly class LoggedFact
{
    private const KEPT = 'kept, private';

    /** @param  string  $secret what is compared and never told */
    public function __construct(public string $label, public string $value, private string $secret = '')
    {
    }

    /** A fact of which the log tells that it is kept, and that it changed, but not what it is. */
    public static function private(string $label, string $secret): self
    {
        return new self($label, $secret === '' ? '' : self::KEPT, $secret);
    }

    /** What the log says when this comes after that. */
    public function after(?self $before): string
    {
        return $before !== null && $this->secret !== $before->secret && $this->value === $before->value
            ? 'another, private'
            : $this->value;
    }
}
