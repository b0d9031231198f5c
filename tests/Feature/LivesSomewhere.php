<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Party;

/** People who live somewhere, so that they can be written to. */
trait LivesSomewhere
{
    protected function living(string $given, string $family, string $street): Party
    {
        $party = $this->addPerson($given, $family);
        $this->saveSection(
            $party,
            'addresses',
            ['addresses' => [$this->address(['lines' => $street, 'locality' => 'Newfane', 'region' => 'VT', 'postcode' => '05345'])]],
        )
            ->assertOk();

        return $party->refresh();
    }

    /** @return array{Party, Party} a couple at one address, who are written to together */
    protected function couple(): array
    {
        $edith = $this->living('Edith', 'Larkin', '9 Pond Street');
        $walter = $this->addPerson('Walter', 'Larkin');
        $this->saveSection(
            $walter,
            'addresses',
            ['addresses' => [['linkedAddressId' => $edith->addressUses()->firstOrFail()->address_id] + $this->address()]],
        )
            ->assertOk();
        $this->saveSection(
            $edith,
            'relations',
            ['relations' => [[
                'id' => null, 'partyId' => $walter->id, 'kind' => 'spouse', 'listItemId' => null, 'together' => 'names',
                'since' => '', 'until' => '',
            ]]],
        )
            ->assertOk();

        return [$edith, $walter];
    }
}
