<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Fact;
use App\Models\Party;
use App\Support\SectionName;
use Illuminate\Validation\ValidationException;

/** A part of a record that is edited and saved where it stands, as one. */
interface Section
{
    public function name(): SectionName;

    /**
     * What the section says now, in words for the change log and for comparing two people's saves.
     *
     * @return array<string, Fact> by a key that outlives a change of the value
     */
    public function snapshot(Party $party): array;

    /**
     * Other records whose section of the same name shows some of the same things.
     *
     * @return list<Party>
     */
    public function neighbours(Party $party): array;

    /**
     * Replaces what the section says. Runs inside a transaction.
     *
     * @param array<string, mixed> $input checked for shape by the form request
     *
     * @throws ValidationException with the core's refusals, each at its field
     */
    public function write(Party $party, array $input): void;
}
