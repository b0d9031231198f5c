<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A conflict search, kept as it was.
 *
 * @property int $id
 * @property int|null $engagement_id for which it was made
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $at
 * @property int $parties how many records the book held then
 * @property int $engagements how many cases and projects
 * @property bool $is_repeated whether it was made by itself, and holds only what was new
 * @property-read User $user
 * @property-read Engagement|null $engagement
 * @property-read Collection<int, ConflictName> $names
 */
final class ConflictSearch extends Model
{
    protected $table = 'conflict_searches';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['at' => 'datetime', 'is_repeated' => 'boolean'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Engagement, $this> none where whoever reads may not see it */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
    }

    /** @return HasMany<ConflictName, $this> */
    public function names(): HasMany
    {
        return $this->hasMany(ConflictName::class, 'search_id')->orderBy('rank');
    }
}
