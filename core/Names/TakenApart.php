<?php

declare(strict_types=1);

namespace Almanac\Names;

/** A name that was typed in one run, taken apart, with the parts that somebody should look at. */
final readonly class TakenApart
{
    /**
     * @internal made by TypedPersonName
     *
     * @param list<string> $doubtful names of parts: given, middle, family
     */
    public function __construct(public PersonName $name, public array $doubtful)
    {
    }
}
