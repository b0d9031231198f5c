<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A statement on paper that is made behind the screen: its progress and its result.
 *
 * @property int $id
 * @property int $user_id who asked for it, and may read it
 * @property int $party_id
 * @property string $title of the file
 * @property array{side: string, currency: string, from: string, to: string} $input
 * @property string $state
 * @property int $done lines
 * @property int $total lines
 * @property string $failure why it came to nothing
 * @property string|null $path of the file, on the disk of files
 * @property-read Party $party
 */
final class Job extends Model
{
    protected $table = 'jobs';

    public const RUNNING = 'running';

    public const READY = 'ready';

    public const FAILED = 'failed';

    /** Longer without a sign of life, and the process has gone. */
    private const SECONDS = 120;

    protected $guarded = [];

    protected $attributes = ['state' => self::RUNNING, 'done' => 0, 'total' => 0, 'failure' => '', 'path' => null];

    protected function casts(): array
    {
        return ['input' => 'array'];
    }

    public function isStuck(): bool
    {
        return $this->state === self::RUNNING &&
            $this->updated_at !== null &&
            $this->updated_at->diffInSeconds(now(), true) > self::SECONDS;
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }
}
