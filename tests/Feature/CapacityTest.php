<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Address;
use App\Models\Party;
use App\Models\Position;
use App\Queries\Records\ReadRecord;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A record that has grown over the years is read as a whole, and costs no more questions than a small one. */
final class CapacityTest extends TestCase
{
    public function test_two_hundred_people_and_sixty_addresses_cost_as_many_queries_as_twenty_and_six(): void
    {
        $small = $this->grown('Small', 20, 6);
        $large = $this->grown('Large', 200, 60);
        $counts = array_map(function (Party $party): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $record = $this->app->make(ReadRecord::class)->handle($party->fresh() ?? $party);
            DB::disableQueryLog();
            $this->assertCount($party->staffPositions()->count(), $record->positions->positions);
            $this->assertCount($party->addressUses()->count(), $record->addresses->addresses);

            return count(DB::getQueryLog());
        }, [$small, $large]);
        $this->assertSame($counts[0], $counts[1]);
        $this->assertLessThan(62, $counts[1]);
    }

    public function test_a_section_of_that_size_can_be_saved(): void
    {
        $large = $this->grown('Large', 0, 60);
        $addresses = $this->getJson("/api/parties/{$large->id}")->json('addresses.addresses');
        $rows = array_map(
            fn (array $address) => $this->address([
                'id' => $address['id'],
                'lines' => $address['lines'],
                'locality' => 'Putney',
                'postcode' => '05346',
                'uses' => ['office'],
                'isPrimary' => $address['isPrimary'],
            ]),
            $addresses,
        );
        $this->saveSection($large, 'addresses', ['addresses' => $rows])
            ->assertOk()
            ->assertJsonCount(60, 'addresses.addresses')
            ->assertJsonPath('addresses.addresses.59.envelope.0', 'Large');
    }

    public function test_the_log_is_read_backwards_a_stretch_at_a_time(): void
    {
        $party = $this->addCompany('Large');
        for ($n = 1; $n <= 65; $n++) {
            $this->postJson("/api/parties/{$party->id}/entries", [
                'kind' => 'note',
                'day' => '',
                'withPartyId' => null,
                'text' => "Entry $n",
                'isPinned' => false,
            ])->assertCreated();
        }
        $seen = [];
        $before = null;
        do {
            $page = $this->getJson("/api/parties/{$party->id}/changes?show=entries".($before === null ? '' : "&before=$before"))->json();
            $this->assertLessThanOrEqual(30, count($page['changes']));
            $seen = [...$seen, ...array_column(array_column($page['changes'], 'entry'), 'text')];
            $before = $page['before'];
        } while ($before !== null);
        $this->assertSame(array_map(fn (int $n) => "Entry $n", range(65, 1)), $seen);
    }

    private function grown(string $name, int $people, int $addresses): Party
    {
        $party = $this->addCompany($name);
        for ($n = 0; $n < $addresses; $n++) {
            $address = new Address([
                'owner_id' => $party->id,
                'country' => 'US',
                'lines' => str_repeat('W', 41)."\nFloor $n",
                'locality' => 'Putney',
                'region' => 'VT',
                'postcode' => '05346',
            ]);
            $address->save();
            $party->addressUses()->create(['address_id' => $address->id, 'uses' => ['office'], 'is_primary' => $n === 0, 'rank' => $n]);
        }
        for ($n = 0; $n < $people; $n++) {
            $person = Party::query()->create([
                'kind' => 'person',
                'number' => 5000 + 1000 * $party->id + $n,
                'given' => "Worker $n",
                'family' => $name,
                'display_name' => "Worker $n $name",
                'file_as' => "$name, Worker $n",
                'sort_key' => strtolower("$name worker $n"),
            ]);
            Position::query()->create([
                'person_id' => $person->id,
                'company_id' => $party->id,
                'title' => 'Clockmaker',
                'is_primary' => $n === 0,
            ]);
        }

        return $party;
    }
}
