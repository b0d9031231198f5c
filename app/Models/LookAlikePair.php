<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Two records that looked alike when one of them was added.
 *
 * @property int $id
 * @property int $first_id the older one
 * @property int $second_id
 * @property bool $is_different settled by somebody: two records, and rightly so
 * @property int $user_id who added the second, or settled it
 * @property-read Party $first
 * @property-read Party $second
 * @property-read User $user
 */
final class LookAlikePair extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['is_different' => 'boolean'];
    }

    /** @return BelongsTo<Party, $this> */
    public function first(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'first_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function second(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'second_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
