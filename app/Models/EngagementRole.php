<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Engagements\EngagementRole as Role;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * What a party can be to a case or a project of one kind.
 *
 * @property int $id
 * @property int $kind_id
 * @property string $name
 * @property int $least how many it needs
 * @property int|null $most how many it may have; null for any number
 * @property bool $is_client whether it is done for whoever has it
 * @property int $rank
 * @property bool $is_retired
 * @property-read Collection<int, self> $opposed
 */
final class EngagementRole extends Model
{
    protected $table = 'engagement_roles';

    public $timestamps = false;

    protected $attributes = ['least' => 0, 'most' => null, 'is_client' => false, 'is_retired' => false];

    protected function casts(): array
    {
        return ['is_client' => 'boolean', 'is_retired' => 'boolean'];
    }

    public function role(): Role
    {
        return Role::of($this->id, $this->name, $this->least, $this->most);
    }

    /** @return BelongsToMany<self, $this> the roles that stand against it, kept from both ends */
    public function opposed(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'engagement_oppositions', 'role_id', 'other_id');
    }
}
