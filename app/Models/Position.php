<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\Duty;
use Almanac\Records\Period;
use App\Support\DayCast;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Collection;

/**
 * A person's place at a company.
 *
 * @property int $id
 * @property int $person_id
 * @property int $company_id
 * @property string $title
 * @property string $department
 * @property Collection<int, Duty> $duties
 * @property bool $is_primary the person whom the company is reached through
 * @property \Almanac\Calendar\Day|null $since
 * @property \Almanac\Calendar\Day|null $until
 * @property-read Party $person
 * @property-read Party $company
 */
final class Position extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'duties' => AsEnumCollection::of(Duty::class),
            'is_primary' => 'boolean',
            'since' => DayCast::class,
            'until' => DayCast::class,
        ];
    }

    public function period(): Period
    {
        return Period::of($this->since, $this->until);
    }

    /** The party at the other end. */
    public function otherThan(Party $party): Party
    {
        return $party->isPerson() ? $this->company : $this->person;
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
