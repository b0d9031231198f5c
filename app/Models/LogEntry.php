<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Records\LogKind;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A note, call, email, meeting or letter on a record. It never leaves the office.
 *
 * @property int $id
 * @property int $subject_id
 * @property LogKind $kind
 * @property Day $happened_on
 * @property int|null $with_party_id
 * @property string $text
 * @property bool $is_pinned shown at the head of the record
 * @property int $user_id
 * @property-read User $user
 * @property-read Party|null $party whose it is; null where it is of something else
 * @property-read Party|null $withParty
 */
final class LogEntry extends Model
{
    protected $table = 'log_entries';

    protected function casts(): array
    {
        return ['kind' => LogKind::class, 'happened_on' => DayCast::class, 'is_pinned' => 'boolean'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Party, $this> */
    public function withParty(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'with_party_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'subject_id');
    }
}
