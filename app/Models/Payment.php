<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Money that came in from a client, or went out to a vendor.
 *
 * @property int $id
 * @property int $party_id
 * @property Side $side
 * @property Day $paid_on
 * @property string $currency
 * @property int $amount_minor
 * @property int $unallocated_minor
 * @property PayBy $pay_by
 * @property string $reference
 * @property string $account_number ours with the vendor, as it was told them
 * @property int|null $bank_detail_id the account of theirs that a transfer went to
 * @property-read BankDetail|null $bankDetail
 * @property bool $is_void
 * @property string $void_reason
 * @property int|null $engagement_id the case or the project that it is for
 * @property int $user_id
 * @property-read Party $party
 * @property-read Engagement|null $engagement
 * @property-read User $user
 * @property-read Collection<int, Allocation> $allocations
 */
final class Payment extends Model
{
    protected $table = 'payments';

    protected $attributes = ['reference' => '', 'account_number' => '', 'engagement_id' => null, 'is_void' => false, 'void_reason' => ''];

    protected function casts(): array
    {
        return ['side' => Side::class, 'paid_on' => DayCast::class, 'pay_by' => PayBy::class, 'is_void' => 'boolean'];
    }

    public function amount(): Money
    {
        return Money::ofMinor($this->amount_minor, $this->currency);
    }

    public function unallocated(): Money
    {
        return Money::ofMinor($this->unallocated_minor, $this->currency);
    }

    /** @return BelongsTo<Engagement, $this> none where whoever reads may not see it */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<BankDetail, $this> */
    public function bankDetail(): BelongsTo
    {
        return $this->belongsTo(BankDetail::class);
    }

    /** @return HasMany<Allocation, $this> */
    public function allocations(): HasMany
    {
        return $this->hasMany(Allocation::class)->orderBy('id');
    }
}
