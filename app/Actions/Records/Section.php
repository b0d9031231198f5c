<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Models\Party;
use Illuminate\Validation\ValidationException;

/** A part of a record that is edited and saved where it stands, as one. */
interface Section
{
    public function name(): SectionName;

    /**
     * The relations of a party that the section is read from; facts() and state() find them loaded, for one party or
     * for hundreds.
     *
     * @return list<string>
     */
    public function reads(): array;

    /**
     * What the section says now, in words for the change log and for comparing two people's saves.
     *
     * @return array<string, LoggedFact> by a key that outlives a change of the value
     */
    public function facts(Party $party): array;

    /**
     * What the section is now, in the shape that write() takes: written back with isRestored, it is as it was, with
     * the same numbers on the same rows.
     *
     * @return array<string, mixed>
     */
    public function state(Party $party): array;

    /**
     * Makes of a party what it was in a state, so that it can be read; nothing of it is kept. Addresses come before
     * reach, and classification before details.
     *
     * @param array<string, mixed> $state that state() gave
     */
    public function recall(Party $then, array $state, Past $past): void;

    /**
     * Whether a state holds what is encrypted at rest.
     *
     * @param array<string, mixed> $state
     */
    public function isPrivate(array $state): bool;

    /**
     * Whatever else shows some of the same things, now or once this is written.
     *
     * @param array<string, mixed> $input what is about to be written
     *
     * @return list<SectionOf>
     */
    public function neighbours(Party $party, array $input): array;

    /**
     * Replaces what the section says. Runs inside a transaction.
     *
     * @param array<string, mixed> $input checked for shape by the form request; or a former state, and isRestored
     *
     * @throws ValidationException with the core's refusals, each at its field
     */
    public function write(Party $party, array $input): void;
}
