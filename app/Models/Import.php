<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Interchange\ImportState;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A file that is being read in: of documents, or of people and companies.
 *
 * @property int $id
 * @property string $name
 * @property string $path
 * @property string $of one of DOCUMENTS and RECORDS
 * @property ImportState $state
 * @property ImportSettings $settings
 * @property int $lines
 * @property int $taken
 * @property string $failure
 * @property int $user_id
 * @property int|null $checked_to the last change that was known when its lines were checked
 * @property int|null $last_change_id
 * @property int $highest_number that a line of it has, up to which they go to nobody else of it
 * @property Carbon $updated_at
 * @property-read User $user
 */
final class Import extends Model
{
    protected $table = 'imports';

    public const DOCUMENTS = 'documents';

    public const RECORDS = 'records';

    /** Without a sign of life for so long, in seconds, whoever worked on it is gone. */
    private const PATIENCE = 120;

    protected $attributes = [
        'taken' => 0, 'failure' => '', 'of' => self::DOCUMENTS,
        'settings' => '{}', 'lines' => 0, 'highest_number' => 0,
    ];

    protected function casts(): array
    {
        return ['state' => ImportState::class, 'settings' => ImportSettings::class];
    }

    /** Whether it may still be said what is in it, and what its columns are. */
    public function isOpen(): bool
    {
        return $this->state->isOpen() && ($this->isOfRecords() || $this->settings->format->isTable());
    }

    public function isOfRecords(): bool
    {
        return $this->of === self::RECORDS;
    }

    /** Whether the work on it has stopped half way, and may begin again. */
    public function isStuck(): bool
    {
        return $this->state->isUnderWay() && $this->updated_at->diffInSeconds(now(), true) > self::PATIENCE;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<ImportLine, $this> */
    public function importLines(): HasMany
    {
        return $this->hasMany(ImportLine::class)->orderBy('line');
    }
}
