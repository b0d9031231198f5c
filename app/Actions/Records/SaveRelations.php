<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Relations\Sharing;
use App\Models\Party;
use App\Models\User;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Saves the relations of a record, and lets them share an address or a phone by link: all of it or nothing. */
final readonly class SaveRelations
{
    public function __construct(private SaveSection $save, private RelationsSection $section, private TakeOver $take)
    {
    }

    /**
     * @param array<string, mixed> $input
     * @param int $version the version that the person who saves has seen
     *
     * @throws ValidationException with each refusal at its field
     */
    public function handle(Party $party, array $input, int $version, User $by): void
    {
        DB::transaction(function () use ($party, $input, $version, $by): void {
            $state = $this->save->handle($this->section, $party, $input, $version, $by);
            $problems = new FieldProblems;
            /** @var list<array{partyId: int, address?: string, addressId?: int|null, phone?: string}> $rows */
            $rows = $input['relations'];
            foreach ($rows as $rank => $row) {
                $this->share($party, $row, "relations.$rank", $problems, $by, $state);
            }
            $problems->throwIfAny();
        });
        $party->refresh();
    }

    /**
     * @param array{partyId: int, address?: string, addressId?: int|null, phone?: string} $row
     * @param int|null $state that is kept of the relations
     */
    private function share(Party $party, array $row, string $field, FieldProblems $problems, User $by, ?int $state): void
    {
        $address = Sharing::from($row['address'] ?? Sharing::Own->value);
        $phone = Sharing::from($row['phone'] ?? Sharing::Own->value);
        if ($address === Sharing::Own && $phone === Sharing::Own) {
            return;
        }
        $other = Party::query()->findOrFail($row['partyId']);
        foreach ([[Sharing::Theirs, $party, $other], [Sharing::Ours, $other, $party]] as [$whose, $taker, $from]) {
            if ($address === $whose) {
                $problems->at("$field.address", fn () => $this->take->address($taker, $from, $row['addressId'] ?? null, $by, $state));
            }
            if ($phone === $whose) {
                $problems->at("$field.phone", fn () => $this->take->phone($taker, $from, $by, $state));
            }
        }
    }
}
