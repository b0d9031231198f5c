<?php

declare(strict_types=1);

namespace App\Queries\Finding;

use Almanac\Records\PartyKind;
use App\Models\Party;
use Illuminate\Database\Eloquent\Builder;

/** Among which records to search. */
final readonly class FindScope
{
    public function __construct(public ?PartyKind $kind = null, public bool $withArchived = true)
    {
    }

    public function isEverything(): bool
    {
        return $this->kind === null && $this->withArchived;
    }

    /** @return Builder<Party> */
    public function parties(): Builder
    {
        return Party::query()
            ->when($this->kind !== null, fn ($parties) => $parties->where('kind', $this->kind))
            ->when(! $this->withArchived, fn ($parties) => $parties->whereNull('archived_on'));
    }
}
