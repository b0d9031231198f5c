<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

/** The contacts of an address book elsewhere, as they were fetched. */
final readonly class FetchedBook
{
    /** @param  string  $cards  one file of vCards */
    public function __construct(public string $cards, public string $name)
    {
    }
}
