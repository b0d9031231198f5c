<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * A backup that was made, or failed.
 *
 * @property int $id
 * @property string $kind NIGHTLY or MANUAL
 * @property string|null $night_on of a nightly one: ISO 8601
 * @property string $state RUNNING, DONE or FAILED
 * @property string|null $path of the file
 * @property int|null $bytes
 * @property bool $is_encrypted
 * @property string $failure what went wrong and what to do
 * @property Carbon $begun_at
 * @property Carbon|null $ended_at
 */
final class Backup extends Model
{
    protected $table = 'backups';

    public $timestamps = false;

    public const NIGHTLY = 'nightly';

    public const MANUAL = 'manual';

    public const RUNNING = 'running';

    public const DONE = 'done';

    public const FAILED = 'failed';

    protected $attributes = ['state' => self::RUNNING, 'path' => null, 'bytes' => null, 'is_encrypted' => false, 'failure' => ''];

    protected function casts(): array
    {
        return ['is_encrypted' => 'boolean', 'begun_at' => 'datetime', 'ended_at' => 'datetime'];
    }

    public static function last(): ?self
    {
        return self::query()->orderByDesc('id')->first();
    }
}
