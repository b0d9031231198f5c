<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\RowChanges;
use Almanac\Records\SectionName;
use Almanac\Refusal;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Sections;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowOfParty;
use App\Models\Party;
use App\Models\User;
use Illuminate\Validation\ValidationException;

/** Makes a record of the book what a line of a file says. Runs inside a transaction. */
final readonly class ChangeRow
{
    public function __construct(
        private Sections $sections,
        private RowSections $inputs,
        private RowBesides $besides,
        private SaveSection $save,
    ) {
    }

    /**
     * @return list<int> the states that take it back
     *
     * @throws Refusal|ValidationException when something of it cannot be taken
     */
    public function handle(Party $party, PartyRow $row, OnExisting $how, bool $takesNewWords, User $by): array
    {
        $changes = RowChanges::between(RowOfParty::of($party->load(RowOfParty::RELATIONS), OfficeReading::terms()), $row, $how);
        if ($changes === null) {
            return [];
        }
        $inputs = [];
        foreach ($this->inputs->of($party, $changes->added, $changes->moved, $changes->held, $takesNewWords) as $name => $input) {
            $section = $this->sections->named(SectionName::from($name)) ?? throw new \LogicException("There is no section $name.");
            $inputs[] = [$section, $input];
        }
        $made = $inputs === [] ? null : $this->save->several($party, $inputs, $by);
        $this->besides->handle($party, $changes->added, $by);

        return $made === null ? [] : [$made];
    }
}
