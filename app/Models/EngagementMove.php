<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Engagements\StageMove;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How a case or a project came into a stage.
 *
 * @property int $id
 * @property int $engagement_id
 * @property int $stage_id
 * @property Day $moved_on
 * @property string $reason the result of what is closed, why it was lost, or why it was opened again
 * @property int $user_id
 * @property \Illuminate\Support\Carbon $at
 * @property-read EngagementStage $stage
 * @property-read User $user
 * @property-read Engagement $engagement
 */
final class EngagementMove extends Model
{
    protected $table = 'engagement_moves';

    public $timestamps = false;

    protected $attributes = ['reason' => ''];

    protected function casts(): array
    {
        return ['moved_on' => DayCast::class, 'at' => 'datetime'];
    }

    public function move(): StageMove
    {
        return StageMove::of($this->stage->stage(), $this->moved_on);
    }

    /** @return BelongsTo<EngagementStage, $this> */
    public function stage(): BelongsTo
    {
        return $this->belongsTo(EngagementStage::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Engagement, $this> */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
    }
}
