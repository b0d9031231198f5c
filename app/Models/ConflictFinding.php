<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Conflicts\Decision;
use Almanac\Conflicts\Degree;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that was found of a name, and what was decided about it.
 *
 * @property int $id
 * @property int $name_id
 * @property int $rank
 * @property Degree $degree
 * @property string $sentence
 * @property string $hidden_sentence for who may not open what it tells of
 * @property int|null $party_number the office's number of the record that is alike
 * @property string|null $engagement_number
 * @property Decision|null $decision
 * @property string $reason
 * @property Day|null $decided_on
 * @property int|null $decided_by_id
 * @property int $version how often it has been decided
 * @property-read User|null $decidedBy
 * @property-read ConflictName $name
 */
final class ConflictFinding extends Model
{
    protected $table = 'conflict_findings';

    public $timestamps = false;

    protected $attributes = ['decision' => null, 'reason' => '', 'decided_on' => null, 'decided_by_id' => null, 'version' => 0];

    protected function casts(): array
    {
        return ['degree' => Degree::class, 'decision' => Decision::class, 'decided_on' => DayCast::class];
    }

    /** @return BelongsTo<User, $this> */
    public function decidedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by_id');
    }

    /** @return BelongsTo<ConflictName, $this> */
    public function name(): BelongsTo
    {
        return $this->belongsTo(ConflictName::class);
    }
}
