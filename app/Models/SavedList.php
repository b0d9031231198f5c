<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Lists\ListView;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A list that somebody keeps: whom it asks for, its columns, its order, how it is looked at.
 *
 * @property int $id
 * @property string $list what it is a list of
 * @property int $user_id whose it is
 * @property bool $is_shared whether everybody has it at the left
 * @property string $name
 * @property string $sentence
 * @property list<string> $columns keys of fields; none for those that everybody has for themselves
 * @property string $sort keys of fields with commas between them
 * @property ListView $view
 * @property int $version
 * @property-read User $user
 */
final class SavedList extends Model
{
    /** So far there are lists of records only. */
    public const OF_RECORDS = 'parties';

    protected $guarded = [];

    protected $attributes = ['list' => self::OF_RECORDS, 'version' => 0];

    protected function casts(): array
    {
        return ['is_shared' => 'boolean', 'columns' => 'array', 'view' => ListView::class];
    }

    /** @return Builder<self> their own, and those that are everybody's */
    public static function readableBy(User $reader): Builder
    {
        return self::query()->where(fn (Builder $lists) => $lists->where('user_id', $reader->id)->orWhere('is_shared', true));
    }

    public function mayBeChangedBy(User $user): bool
    {
        return $this->user_id === $user->id || ($this->is_shared && $user->isAdministrator());
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
