<?php

declare(strict_types=1);

namespace Almanac\Names;

/** The name a company goes by, and its legal name where that differs. */
final readonly class CompanyName
{
    private function __construct(public string $name, public string $legal)
    {
    }

    /** @throws NameRefused when the name is empty, or either has over 200 characters */
    public static function of(string $name, string $legal = ''): self
    {
        $name = NamePart::tidy($name);

        return $name === '' ? throw NameRefused::emptyCompany() : new self($name, NamePart::tidy($legal));
    }

    public function display(): string
    {
        return $this->name;
    }

    /** The Harbor Trust files under Harbor Trust, The. */
    public function fileAs(): string
    {
        return preg_match('/^(the) (.+)$/i', $this->name, $part) === 1 ? $part[2].', '.$part[1] : $this->name;
    }
}
