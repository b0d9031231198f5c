<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** A part of a sentence that was not understood, or that asks for what is not there. */
final readonly class Misread
{
    /**
     * @param int $at how many letters of the sentence come before it
     * @param int $length in letters
     * @param string $message what is wrong and what to do
     * @param bool $isLeftOut whether the filter does without it; else it is asked, and nobody has it
     */
    public function __construct(public int $at, public int $length, public string $message, public bool $isLeftOut)
    {
    }
}
