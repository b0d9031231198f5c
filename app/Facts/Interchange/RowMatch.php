<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

/** Whom a line of a file may be in the book: the one, where it is sure, or those to choose from. */
final readonly class RowMatch
{
    /** @param  list<array{id: int, isSure: bool}>  $candidates  the likeliest first */
    public function __construct(public ?int $recordId, public array $candidates)
    {
    }

    public static function nobody(): self
    {
        return new self(null, []);
    }
}
