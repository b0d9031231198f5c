<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\SectionName;
use App\Facts\Details\Sheets;
use App\Models\Party;
use Illuminate\Database\Eloquent\Collection;

/** What the firm's own detail sheets ask of a record. */
final readonly class DetailsSection implements SectionOfNew
{
    public function __construct(private WriteDetails $details)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Details;
    }

    public function reads(): array
    {
        return ['listItems', 'detailValues.field'];
    }

    public function facts(Party $party): array
    {
        return $this->details->facts(Sheets::of($party));
    }

    public function state(Party $party): array
    {
        return $this->details->state($party->detailValues);
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        $then->setRelation('detailValues', $this->details->recall($state));
    }

    public function isPrivate(array $state): bool
    {
        return $this->details->isPrivate($state);
    }

    public function neighbours(Party $party, array $input): array
    {
        return [];
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        $values = array_map($records->numbered(...), $this->details->begin($new->id, Sheets::of($new), $input));
        $new->setRelation('detailValues', new Collection($values));
    }

    public function write(Party $party, array $input): void
    {
        $this->details->write($party->id, Sheets::of($party->load('listItems', 'detailValues')), $input);
    }
}
