<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Engagements\Stage;
use Almanac\Engagements\StageKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A stage of one kind, in the firm's own words.
 *
 * @property int $id
 * @property int $kind_id
 * @property string $name
 * @property StageKind $meaning
 * @property int|null $most_days after which it has stood too long
 * @property int $rank
 * @property bool $is_retired
 * @property-read EngagementKind $kind
 */
final class EngagementStage extends Model
{
    protected $table = 'engagement_stages';

    public $timestamps = false;

    protected $attributes = ['is_retired' => false, 'most_days' => null];

    protected function casts(): array
    {
        return ['meaning' => StageKind::class, 'is_retired' => 'boolean'];
    }

    /** @return Builder<self> the numbers of those that mean an enquiry */
    public static function enquiries(): Builder
    {
        return self::query()->select('id')->where('meaning', StageKind::Enquiry);
    }

    /** @return BelongsTo<EngagementKind, $this> */
    public function kind(): BelongsTo
    {
        return $this->belongsTo(EngagementKind::class);
    }

    public function stage(): Stage
    {
        return Stage::of($this->id, $this->name, $this->meaning, $this->most_days);
    }
}
