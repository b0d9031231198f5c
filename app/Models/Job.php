<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that is made behind the screen, a long statement or an archive of the whole book: its progress and its result.
 *
 * @property int $id
 * @property int $user_id who asked for it, and may read it
 * @property string $kind
 * @property int|null $party_id whose statement it is
 * @property string $title of the file
 * @property array{side: string, currency: string, from: string, to: string}|array{} $input of a statement
 * @property string $state
 * @property int $done lines, or parts in a hundred of an archive
 * @property int $total
 * @property string $failure why it came to nothing
 * @property string|null $path of the file, on the disk of files
 * @property-read Party|null $party
 */
final class Job extends Model
{
    protected $table = 'jobs';

    public const STATEMENT = 'statement';

    public const ARCHIVE = 'archive';

    public const RUNNING = 'running';

    public const READY = 'ready';

    public const FAILED = 'failed';

    /** Longer without a sign of life, and the process has gone. */
    private const SECONDS = 120;

    protected $attributes = ['kind' => self::STATEMENT, 'state' => self::RUNNING, 'done' => 0, 'total' => 0, 'failure' => '', 'path' => null];

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

    /** @return Collection<int, self> what somebody has under way, but for what was interrupted */
    public static function runningFor(User $user, string $kind): Collection
    {
        return self::query()->where(['user_id' => $user->id, 'kind' => $kind, 'state' => self::RUNNING])->get()
            ->reject(fn (self $job) => $job->isStuck());
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }
}
