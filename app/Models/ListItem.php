<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Records\OfficeList;
use Illuminate\Database\Eloquent\Builder;

/**
 * One entry of a list that the office keeps. It may be renamed or retired, and is never taken away.
 *
 * @property int $id
 * @property OfficeList $list
 * @property string $name
 * @property string $inverse how it is told from the other end, where that differs
 * @property bool $is_retired kept where it is used, and offered no more
 */
final class ListItem extends Model
{
    protected $table = 'list_items';

    protected $attributes = ['inverse' => '', 'is_retired' => false];

    protected function casts(): array
    {
        return ['list' => OfficeList::class, 'is_retired' => 'boolean'];
    }

    /** @return Builder<self> */
    public static function in(OfficeList $list): Builder
    {
        return self::query()->where('list', $list)->orderBy('name');
    }
}
