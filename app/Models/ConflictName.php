<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Conflicts\Degree;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A name that was searched, as it was typed.
 *
 * @property int $id
 * @property int $search_id
 * @property int $rank
 * @property string $name
 * @property string $role that it is to have
 * @property Degree $degree
 * @property-read ConflictSearch $search
 * @property-read Collection<int, ConflictFinding> $findings
 */
final class ConflictName extends Model
{
    protected $table = 'conflict_names';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['degree' => Degree::class];
    }

    /** @return BelongsTo<ConflictSearch, $this> */
    public function search(): BelongsTo
    {
        return $this->belongsTo(ConflictSearch::class);
    }

    /** @return HasMany<ConflictFinding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(ConflictFinding::class, 'name_id')->orderBy('rank');
    }
}
