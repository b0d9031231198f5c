<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Cautions\Caution as Value;
use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Records\Period;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A caution on a record. It never leaves the office.
 *
 * @property int $id
 * @property int $subject_id
 * @property CautionLevel $level
 * @property CautionUse $use
 * @property string $text
 * @property \Almanac\Calendar\Day|null $since
 * @property \Almanac\Calendar\Day|null $until
 * @property int $user_id
 * @property-read User $user
 * @property-read Party $party
 */
final class Caution extends Model
{
    protected $table = 'cautions';

    protected function casts(): array
    {
        return [
            'level' => CautionLevel::class,
            'use' => CautionUse::class,
            'since' => DayCast::class,
            'until' => DayCast::class,
        ];
    }

    public function value(): Value
    {
        return Value::of($this->level, $this->use, $this->text, Period::of($this->since, $this->until));
    }

    public function mayBeLiftedBy(User $user): bool
    {
        return $this->value()->mayBeLifted($user->id === $this->user_id, $user->isAdministrator());
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'subject_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
