<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What the firm calls one sort of what it does for others: a case, a project, a job.
 *
 * @property int $id
 * @property string $name as in "case"
 * @property string $plural as in "cases"
 * @property string $sign what its numbers begin with
 * @property int $rank
 * @property bool $is_retired
 * @property-read Collection<int, EngagementStage> $stages
 * @property-read Collection<int, EngagementRole> $roles
 */
final class EngagementKind extends Model
{
    protected $table = 'engagement_kinds';

    protected $attributes = ['is_retired' => false];

    protected function casts(): array
    {
        return ['is_retired' => 'boolean'];
    }

    /** @return HasMany<EngagementStage, $this> */
    public function stages(): HasMany
    {
        return $this->hasMany(EngagementStage::class, 'kind_id')->orderBy('rank')->orderBy('id');
    }

    /** @return HasMany<EngagementRole, $this> */
    public function roles(): HasMany
    {
        return $this->hasMany(EngagementRole::class, 'kind_id')->orderBy('rank')->orderBy('id');
    }
}
