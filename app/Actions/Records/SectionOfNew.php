<?php

declare(strict_types=1);

namespace App\Actions\Records;

use App\Models\Party;
use Illuminate\Validation\ValidationException;

/** A section with which a record may come into the book, together with many others. */
interface SectionOfNew extends Section
{
    /**
     * Makes of a record that is not in the book yet what is told of it. Nothing is asked of the database that is kept for
     * each record, and nothing is written: the rows stand in its relations, numbered, until NewRecords takes them.
     *
     * @param array<string, mixed> $input as write() takes it
     *
     * @throws ValidationException with the core's refusals, each at its field
     */
    public function begin(Party $new, array $input, NewRecords $records): void;
}
