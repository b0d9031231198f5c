<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Engagements\EngagementLink;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What one case or project is to another, kept from one end.
 *
 * @property int $id
 * @property int $from_id
 * @property int $to_id
 * @property EngagementLink $kind what the first is to the second
 * @property-read Engagement|null $from
 * @property-read Engagement|null $to
 */
final class EngagementTie extends Model
{
    public $timestamps = false;

    protected $table = 'engagement_links';

    protected function casts(): array
    {
        return ['kind' => EngagementLink::class];
    }

    /** What the one seen from is to the other. */
    public function seenFrom(Engagement $engagement): EngagementLink
    {
        return $this->from_id === $engagement->id ? $this->kind : $this->kind->inverse();
    }

    /** The one at the other end; null where whoever reads may not see it. */
    public function otherThan(Engagement $engagement): ?Engagement
    {
        return $this->from_id === $engagement->id ? $this->to : $this->from;
    }

    public function otherIdThan(Engagement $engagement): int
    {
        return $this->from_id === $engagement->id ? $this->to_id : $this->from_id;
    }

    /** @return BelongsTo<Engagement, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Engagement::class, 'from_id');
    }

    /** @return BelongsTo<Engagement, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Engagement::class, 'to_id');
    }
}
