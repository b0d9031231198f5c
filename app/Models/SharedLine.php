<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\LookAlikes\LineKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A phone, an email or an address that different people rightly share: a household, a front desk.
 *
 * @property int $id
 * @property LineKind $kind
 * @property string $value as a contact point has it; the form of an address
 * @property string $name
 * @property int $user_id who named it
 * @property-read User $user
 */
final class SharedLine extends Model
{
    protected $table = 'shared_lines';

    protected function casts(): array
    {
        return ['kind' => LineKind::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
