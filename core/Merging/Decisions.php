<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** What somebody has decided of the record that several become; of the rest what is proposed holds. */
final readonly class Decisions
{
    /**
     * @param array<string, int> $chosen whose value is taken, by section and part: "identity/given"
     * @param array<string, bool> $isKept whether a line stays, by section and line: "reach/contact:12"
     * @param array<string, string> $labels of lines that are called otherwise
     * @param list<string> $primary lines that come first of their kind
     * @param bool $withArchived whether archived ones may come too
     */
    public function __construct(
        public array $chosen = [],
        public array $isKept = [],
        public array $labels = [],
        public array $primary = [],
        public bool $withArchived = false,
    ) {
    }

    /** @return array<string, mixed> as they are kept with a proposal */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @param  array<string, mixed>  $kept */
    public static function fromArray(array $kept): self
    {
        /** @var array{chosen: array<string, int>, isKept: array<string, bool>, labels: array<string, string>, primary: list<string>, withArchived: bool} $kept */
        return new self(...$kept);
    }

    /**
     * What is decided of the lines of one section.
     *
     * @return array<string, bool> by key
     */
    public function linesOf(string $section): array
    {
        $of = [];
        foreach ($this->isKept as $line => $isKept) {
            if (str_starts_with($line, "$section/")) {
                $of[substr($line, strlen($section) + 1)] = $isKept;
            }
        }

        return $of;
    }
}
