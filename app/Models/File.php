<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Files\FileKind;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file on a record. What is in it lies outside the web root, under its hash.
 *
 * @property int $id
 * @property int $subject_id
 * @property string $name
 * @property FileKind $kind
 * @property string $sha256 of the content
 * @property int $size in bytes
 * @property string $media_type
 * @property Day|null $expires_on
 * @property bool $is_private only for those who may see private values
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $added_at
 * @property-read User $user
 * @property-read Party|null $party
 * @property-read Engagement|null $engagement
 */
final class File extends Model
{
    use OfReadableSubject;

    protected $table = 'files';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['kind' => FileKind::class, 'expires_on' => DayCast::class, 'is_private' => 'boolean', 'added_at' => 'datetime'];
    }

    /** Where the content lies on the disk of files. */
    public function path(): string
    {
        return self::pathOf($this->sha256);
    }

    public static function pathOf(string $sha256): string
    {
        return 'files/'.substr($sha256, 0, 2).'/'.substr($sha256, 2);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
