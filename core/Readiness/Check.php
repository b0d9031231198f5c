<?php

declare(strict_types=1);

namespace Almanac\Readiness;

/** One thing a record needs for a purpose: whether it is there, what to do, and in which section. */
final readonly class Check
{
    private function __construct(
        public string $name,
        public CheckState $state,
        public string $todo,
        public string $section,
    ) {
    }

    /** @param  string  $todo what to do when it is missing */
    public static function that(bool $isThere, string $name, string $todo, string $section): self
    {
        return new self($name, $isThere ? CheckState::Passed : CheckState::Missing, $isThere ? '' : $todo, $section);
    }

    public static function doubtful(string $name, string $todo, string $section): self
    {
        return new self($name, CheckState::Doubtful, $todo, $section);
    }

    public function isGap(): bool
    {
        return $this->state !== CheckState::Passed;
    }
}
