<?php

declare(strict_types=1);

namespace App\Actions\Records;

/** The drafts and open documents that take over what is saved. */
final readonly class Following
{
    /**
     * @param list<int> $documentIds
     * @param bool $withTerms whether they are due as the record's terms have it then
     */
    public function __construct(public array $documentIds, public bool $withTerms)
    {
    }
}
