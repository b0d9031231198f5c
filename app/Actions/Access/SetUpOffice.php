<?php

declare(strict_types=1);

namespace App\Actions\Access;

use Almanac\Access\Role;
use App\Actions\Engagements\StarterKinds;
use App\Actions\Office\KeepUsers;
use App\Models\ListedTerms;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;

/** Opens the book: the office, a first list of payment terms, and the first administrator. */
final readonly class SetUpOffice
{
    /** Name, shorthand, default for clients, default for vendors. */
    private const TERMS = [
        ['Standard', 'net 30', true, true],
        ['Due on receipt', 'due on receipt', false, false],
        ['One week', 'net 7', false, false],
        ['Two weeks', 'net 14', false, false],
        ['Favoured supplier', 'net 15', false, false],
        ['Early payment', '2/10 net 30', false, false],
        ['Sixty days', 'net 60', false, false],
        ['End of month', 'EOM', false, false],
        ['Tenth of next month', '10th prox', false, false],
        ['A third up front', '30% due on receipt, 70% net 30', false, false],
    ];

    public function __construct(private KeepUsers $users, private StarterKinds $kinds, private Clock $clock)
    {
    }

    /**
     * @return User the administrator
     *
     * @throws AuthorizationException when the office is there already
     */
    public function handle(string $officeName, string $country, string $name, string $email, string $password): User
    {
        return DB::transaction(function () use ($officeName, $country, $name, $email, $password): User {
            if (Office::query()->exists()) {
                throw new AuthorizationException('The office is set up already.');
            }
            // Nothing can have changed overnight yet.
            Office::query()
                ->create(['name' => trim($officeName), 'country' => $country])
                ->forceFill(['began_on' => $this->clock->today()->toIso()])
                ->save();
            foreach (self::TERMS as [$title, $shorthand, $forClients, $forVendors]) {
                ListedTerms::query()->create([
                    'name' => $title,
                    'shorthand' => $shorthand,
                    'is_client_default' => $forClients,
                    'is_vendor_default' => $forVendors,
                ]);
            }

            $this->kinds->handle();

            return $this->users->add($name, $email, $password, Role::Administrator);
        });
    }
}
