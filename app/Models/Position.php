<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\Period;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * A person's place at a company.
 *
 * @property int $id
 * @property int $person_id
 * @property int $company_id
 * @property string $title
 * @property string $department
 * @property bool $is_primary the person whom the company is reached through
 * @property \Almanac\Calendar\Day|null $since
 * @property \Almanac\Calendar\Day|null $until
 * @property-read Party $person
 * @property-read Party $company
 * @property-read \Illuminate\Database\Eloquent\Collection<int, ListItem> $duties what they are to be asked about; on the pivot, whether they are the first to be asked
 */
final class Position extends Model
{
    protected $table = 'positions';

    protected function casts(): array
    {
        return [
            'is_primary' => 'boolean',
            'since' => DayCast::class,
            'until' => DayCast::class,
        ];
    }

    public function period(): Period
    {
        return Period::of($this->since, $this->until);
    }

    public function otherIdThan(Party $party): int
    {
        return $this->person_id === $party->id ? $this->company_id : $this->person_id;
    }

    /** The party at the other end. */
    public function otherThan(Party $party): Party
    {
        return $this->person_id === $party->id ? $this->company : $this->person;
    }

    /** @return BelongsToMany<ListItem, $this> */
    public function duties(): BelongsToMany
    {
        return $this->belongsToMany(ListItem::class, 'position_duties')->withPivot('is_primary')->orderBy('name');
    }

    /** @return list<string> */
    public function dutyNames(): array
    {
        return array_values($this->duties->map(fn (ListItem $duty) => $duty->name)->all());
    }

    /** @return list<string> the duties that this person is the first to be asked about, of several there */
    public function firstFor(): array
    {
        return array_values($this->duties
            ->filter(fn (ListItem $duty) => (bool) $duty->getRelationValue('pivot')?->getAttribute('is_primary'))
            ->map(fn (ListItem $duty) => $duty->name)->all());
    }

    /** @return BelongsTo<Party, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'person_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function company(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'company_id');
    }
}
