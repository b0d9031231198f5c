<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Reach\ContactKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A phone or an email that different people rightly share: a household, a front desk.
 *
 * @property int $id
 * @property ContactKind $kind
 * @property string $value as a contact point has it
 * @property string $name
 * @property int $user_id who named it
 * @property-read User $user
 */
final class SharedLine extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => ContactKind::class];
    }

    /** @return HasMany<ContactPoint, $this> */
    public function points(): HasMany
    {
        return $this->hasMany(ContactPoint::class, 'value', 'value');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
