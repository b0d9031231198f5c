<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A file of documents that is being read in.
 *
 * @property int $id
 * @property string $name
 * @property string $path
 * @property string $state checking, checked, taking, counting, taken, failed
 * @property int $found documents that can be taken
 * @property int $taken
 * @property list<array{line: int, field: string, message: string}> $problems
 * @property int $problem_count all of them, of which the first are kept
 * @property string $failure
 * @property int $user_id
 * @property Carbon $updated_at
 * @property-read User $user
 */
final class Import extends Model
{
    protected $guarded = [];

    protected $attributes = ['problems' => '[]', 'found' => 0, 'taken' => 0, 'problem_count' => 0, 'failure' => ''];

    protected function casts(): array
    {
        return ['problems' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
