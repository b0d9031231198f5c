<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Calendar\Day;

/** That somebody said they want no letters: since when, and how they said so. */
final readonly class OptOut
{
    private function __construct(public Day $since, public string $how)
    {
    }

    /** @param  string  $how  as in "by phone"; empty where nobody wrote it down */
    public static function of(Day $since, string $how): self
    {
        return new self($since, $how);
    }

    /** As in "wants no letters since 3 May 2026, by phone". */
    public function toText(): string
    {
        return 'wants no letters since '.$this->since->toText().($this->how === '' ? '' : ", $this->how");
    }
}
