<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Mailing\MessageState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;

/**
 * A message in the outbox. Of a private case or project it is there only for whom that names.
 *
 * @property int $id
 * @property int $party_id
 * @property int|null $document_id
 * @property int|null $engagement_id the case or project that it speaks of
 * @property string $to
 * @property string $subject
 * @property string $path
 * @property int $user_id
 * @property Carbon $at
 * @property MessageState $state
 * @property string $failure why it was not sent
 * @property-read Party $party
 * @property-read Engagement|null $engagement
 * @property-read User $user
 */
final class Message extends Model
{
    protected $table = 'messages';

    public $timestamps = false;

    protected $attributes = ['state' => 'kept', 'failure' => ''];

    protected function casts(): array
    {
        return ['at' => 'datetime', 'state' => MessageState::class];
    }

    protected static function booted(): void
    {
        self::addGlobalScope('readable', function (Builder $messages): void {
            $reader = Auth::user();
            if ($reader instanceof User) {
                $messages->where(
                    fn (Builder $some) => $some->whereNull('messages.engagement_id')->orWhereNotIn(
                        'messages.engagement_id',
                        Engagement::hiddenFrom($reader),
                    ),
                )->where(
                    // Of one of its documents as well.
                    fn (Builder $some) => $some->whereNull('messages.document_id')->orWhereNotIn(
                        'messages.document_id',
                        Document::query()->toBase()->select('id')->whereIn('engagement_id', Engagement::hiddenFrom($reader)),
                    ),
                );
            }
        });
    }

    /** @return BelongsTo<Engagement, $this> */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
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
