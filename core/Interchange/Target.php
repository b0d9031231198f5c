<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** What one column of a file is: "phone", or "phone:mobile", or "street:billing". */
final readonly class Target
{
    private function __construct(public string $key, public string $label)
    {
    }

    /** @return self|null null where the column is left out */
    public static function of(string $text): ?self
    {
        [$key, $label] = explode(':', $text, 2) + ['', ''];

        return $key === '' ? null : new self($key, trim($label));
    }

    public function text(): string
    {
        return $this->label === '' ? $this->key : "$this->key:$this->label";
    }
}
