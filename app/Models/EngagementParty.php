<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Engagements\PayerShares;
use Almanac\Money\Percent;
use Almanac\Records\Period;
use Almanac\Refusal;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody is to a case or a project.
 *
 * @property int $id
 * @property int $engagement_id
 * @property int $party_id
 * @property int $role_id
 * @property int|null $via_id the company through which a person acts
 * @property int|null $contact_id whom to ask for at a company
 * @property Day|null $since
 * @property Day|null $until
 * @property string|null $share of what is billed, in per cent; null for who does not pay
 * @property bool $is_mailed whether letters about it go there
 * @property string $note
 * @property int $rank
 * @property-read Party $party
 * @property-read EngagementRole $role
 * @property-read Party|null $via
 * @property-read Party|null $contact
 * @property-read Engagement|null $engagement
 */
final class EngagementParty extends Model
{
    protected $table = 'engagement_parties';

    public $timestamps = false;

    protected $attributes = ['via_id' => null, 'contact_id' => null, 'share' => null, 'is_mailed' => false, 'note' => ''];

    protected function casts(): array
    {
        return ['since' => DayCast::class, 'until' => DayCast::class, 'is_mailed' => 'boolean'];
    }

    public function period(): Period
    {
        return Period::of($this->since, $this->until);
    }

    public function percent(): ?Percent
    {
        return $this->share === null ? null : Percent::of($this->share);
    }

    public function isNow(Day $today): bool
    {
        return ! $this->period()->isOver($today);
    }

    public function paysNow(Day $today): bool
    {
        return $this->share !== null && $this->isNow($today);
    }

    /**
     * @param iterable<self> $payers
     *
     * @throws Refusal when they do not add up, or somebody pays twice or nothing
     */
    public static function shares(iterable $payers): PayerShares
    {
        $shares = [];
        foreach ($payers as $one) {
            $shares[] = [$one->party_id, $one->percent() ?? Percent::none()];
        }

        return PayerShares::of($shares);
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }

    /** @return BelongsTo<EngagementRole, $this> */
    public function role(): BelongsTo
    {
        return $this->belongsTo(EngagementRole::class);
    }

    /** @return BelongsTo<Party, $this> */
    public function via(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'via_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'contact_id');
    }

    /** @return BelongsTo<Engagement, $this> */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
    }
}
