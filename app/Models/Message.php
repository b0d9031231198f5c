<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Mailing\MessageState;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A message in the outbox.
 *
 * @property int $id
 * @property int $party_id
 * @property int|null $document_id
 * @property string $to
 * @property string $subject
 * @property string $path
 * @property int $user_id
 * @property Carbon $at
 * @property MessageState $state
 * @property string $failure why it was not sent
 * @property-read Party $party
 * @property-read User $user
 */
final class Message extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['state' => 'kept', 'failure' => ''];

    protected function casts(): array
    {
        return ['at' => 'datetime', 'state' => MessageState::class];
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
