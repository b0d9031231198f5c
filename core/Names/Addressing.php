<?php

declare(strict_types=1);

namespace Almanac\Names;

/**
 * How a person is written to. Forms of address and salutation are those of American business
 * letters (common practice, no published source).
 */
final readonly class Addressing
{
    private function __construct(
        private PersonName $name,
        private bool $isInformal,
        private bool $isDeceased,
    ) {
    }

    /**
     * @param bool $isInformal whether the office is on first-name terms with the person
     */
    public static function of(PersonName $name, bool $isInformal = false, bool $isDeceased = false): self
    {
        return new self($name, $isInformal, $isDeceased);
    }

    /** The first line of the envelope; for somebody who has died, the estate's. */
    public function envelopeLine(): string
    {
        return $this->isDeceased ? 'Estate of '.$this->name->plain() : $this->name->onEnvelope();
    }

    /** "Dear Mr. Wren:"; null for somebody who has died, who is never greeted. */
    public function salutation(): ?string
    {
        return $this->isDeceased ? null : 'Dear '.$this->greeted().':';
    }

    /** How a letter to a company begins when nobody there is known by name. */
    public static function salutationToCompany(): string
    {
        return 'Dear Sir or Madam:';
    }

    private function greeted(): string
    {
        $name = $this->name;
        if ($this->isInformal) {
            return $name->preferred !== '' ? $name->preferred : ($name->given !== '' ? $name->given : $name->family);
        }
        if ($name->prefix !== '' && $name->family !== '') {
            return $name->prefix.' '.$name->family;
        }

        return trim($name->given.' '.$name->family);
    }
}
