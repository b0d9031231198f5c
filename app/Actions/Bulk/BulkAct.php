<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Lists\Condition;
use Almanac\Records\ArchivedRecord;
use Almanac\Refusal;
use App\Actions\Records\StaleSection;
use App\Models\Party;
use App\Models\User;
use Illuminate\Validation\ValidationException;

/** One thing that is done to many records, and taken back. */
interface BulkAct
{
    /** In words, as in "Owner: Cordelia Vane". */
    public function title(): string;

    /** Of whom it is so already; null where only trying tells. */
    public function isSo(): ?Condition;

    /** Whether it is for records that are in use only; else it is for archived ones, or for both. */
    public function isForUsed(): ?bool;

    /**
     * Does it to one record. Runs inside a transaction.
     *
     * @return string|null what takes it back; null where it is so already
     *
     * @throws Refusal|ArchivedRecord|ValidationException when it cannot be done to that record
     */
    public function apply(Party $party, User $by): ?string;

    /**
     * Takes it back from one record. Runs inside a transaction.
     *
     * @param Party|null $party null where it is gone
     * @param string $wayBack what apply() gave
     *
     * @throws Refusal|ArchivedRecord|ValidationException|StaleSection when it has been changed since
     */
    public function takeBack(?Party $party, string $wayBack, User $by): void;
}
