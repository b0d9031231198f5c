<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\Past;
use App\Models\Engagement;
use Illuminate\Validation\ValidationException;

/** A part of a case or a project that is edited and saved where it stands, as one. */
interface EngagementSection
{
    public function name(): SectionName;

    /** @return list<string> the relations that it is read from */
    public function reads(): array;

    /** @return array<string, LoggedFact> by a key that outlives a change of the value */
    public function facts(Engagement $engagement): array;

    /** @return array<string, mixed> in the shape that write() takes */
    public function state(Engagement $engagement): array;

    /**
     * Makes of it what it was in a state, so that it can be read; nothing of it is kept.
     *
     * @param array<string, mixed> $state that state() gave
     */
    public function recall(Engagement $then, array $state, Past $past): void;

    /** @param  array<string, mixed>  $state */
    public function isPrivate(array $state): bool;

    /**
     * Replaces what the section says. Runs inside a transaction.
     *
     * @param array<string, mixed> $input checked for shape by the form request; or a former state, and isRestored
     *
     * @throws ValidationException with the core's refusals, each at its field
     */
    public function write(Engagement $engagement, array $input): void;
}
