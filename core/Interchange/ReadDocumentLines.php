<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** What was read of the lines of one document: the document, or what is wrong with it. */
final readonly class ReadDocumentLines
{
    /** @param  array<int, list<array{int, string}>>  $problems  by line: the column, from nought, and what to do */
    public function __construct(public ?ReadDocument $document, public array $problems)
    {
    }
}
