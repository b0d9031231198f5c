<?php

declare(strict_types=1);

namespace Almanac\Names;

/**
 * Two people written to at one address: by both names, or as "Mr. and Mrs." where they have said
 * that they like it so (common practice, no published source).
 */
final readonly class Couple
{
    private function __construct(private PersonName $first, private PersonName $second, private TogetherAs $as, private bool $isInformal)
    {
    }

    /** @param  bool  $isInformal whether the office is on first-name terms with both */
    public static function of(PersonName $first, PersonName $second, TogetherAs $as, bool $isInformal = false): self
    {
        // "Mr. and Mrs." goes by his name, whoever is asked first.
        return $as === TogetherAs::Titles && $second->prefix === 'Mr.' && $first->prefix !== 'Mr.'
            ? new self($second, $first, $as, $isInformal)
            : new self($first, $second, $as, $isInformal);
    }

    /** @return list<string> a line for each, or one for both */
    public function envelopeLines(): array
    {
        return $this->isByTitles()
            ? [$this->titles().' '.$this->first->plain()]
            : [$this->first->onEnvelope().' and', $this->second->onEnvelope()];
    }

    public function salutation(): string
    {
        if ($this->isInformal) {
            return "Dear {$this->called($this->first)} and {$this->called($this->second)}:";
        }

        return $this->isByTitles()
            ? "Dear {$this->titles()} {$this->first->family}:"
            : "Dear {$this->greeted($this->first)} and {$this->greeted($this->second)}:";
    }

    /** Only two titles and one family name can be drawn together. */
    private function isByTitles(): bool
    {
        return $this->as === TogetherAs::Titles &&
            $this->first->prefix !== '' &&
            $this->second->prefix !== '' &&
            $this->first->family !== '' &&
            $this->first->family === $this->second->family;
    }

    private function titles(): string
    {
        return $this->first->prefix.' and '.$this->second->prefix;
    }

    private function called(PersonName $name): string
    {
        return $name->preferred !== '' ? $name->preferred : ($name->given !== '' ? $name->given : $name->family);
    }

    private function greeted(PersonName $name): string
    {
        return $name->prefix !== '' && $name->family !== '' ? $name->prefix.' '.$name->family : trim($name->given.' '.$name->family);
    }
}
