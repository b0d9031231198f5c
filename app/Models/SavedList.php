<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Lists\ListOf;
use Almanac\Lists\ListView;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A list that somebody keeps: whom it asks for, its columns, its order, how it is looked at.
 *
 * @property int $id
 * @property ListOf $list what it is a list of
 * @property int $user_id whose it is
 * @property bool $is_shared whether everybody has it at the left
 * @property string $name
 * @property string $sentence
 * @property string $choices what is chosen besides, as it stands in the address
 * @property list<string> $columns keys of fields; none for those that everybody has for themselves
 * @property string $sort keys of fields with commas between them
 * @property ListView $view
 * @property string $counted_by how it is counted, where that is kept with it: keys of fields with a comma between them
 * @property string $period of which time what was billed and paid is added up, as it is typed
 * @property int $version
 * @property-read User $user
 */
final class SavedList extends Model
{
    protected $table = 'saved_lists';

    protected $attributes = ['version' => 0];

    protected function casts(): array
    {
        return ['is_shared' => 'boolean', 'columns' => 'array', 'view' => ListView::class, 'list' => ListOf::class];
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
