<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use App\Models\Party;

/** Who came into the book with a line of a file. */
final readonly class AddedRow
{
    /** @param  list<Party>  $made  companies that the line names, and that nobody had entered */
    public function __construct(public Party $party, public array $made)
    {
    }
}
