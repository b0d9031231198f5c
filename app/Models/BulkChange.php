<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Bulk\BulkKind;
use Almanac\Bulk\BulkState;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One change to many records, taken back as one.
 *
 * @property int $id
 * @property int $user_id
 * @property BulkKind $kind
 * @property string $title in words, as in "Owner: Cordelia Vane"
 * @property array{
 *     kind: string, values: list<string>, side?: string|null, field?: string|null, fieldId?: int|null, day?: string|null,
 *     userId?: int|null, engagementId?: int|null, roleId?: int|null,
 * } $input
 * @property BulkState $state
 * @property int $chosen records
 * @property string $failure why it came to nothing
 * @property Carbon|null $begun_at
 * @property Carbon|null $ended_at
 * @property Carbon|null $created_at
 * @property-read User $user
 */
final class BulkChange extends Model
{
    protected $table = 'bulk_changes';

    protected $attributes = ['failure' => ''];

    protected function casts(): array
    {
        return [
            'kind' => BulkKind::class, 'state' => BulkState::class, 'input' => 'array', 'begun_at' => 'datetime', 'ended_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<BulkChangeRecord, $this> */
    public function records(): HasMany
    {
        return $this->hasMany(BulkChangeRecord::class)->orderBy('rank');
    }
}
