<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** What takes the place of the clause that is being typed. */
final readonly class Suggestion
{
    /**
     * @param int $at how many letters of the sentence stay before it
     * @param int $length how many letters it takes the place of
     */
    public function __construct(public int $at, public int $length, public string $text)
    {
    }
}
