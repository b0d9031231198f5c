<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Banking\PayBy;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\Delivery;
use Almanac\Ledger\TaxTreatment;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a party has of its own on one side: payment terms from the office's list or in shorthand, and
 * how it is billed or paid. Null is inherited. The row without a party is the office's default.
 *
 * @property int $id
 * @property int|null $party_id
 * @property int|null $payment_terms_id
 * @property string|null $shorthand
 * @property TaxTreatment|null $tax_treatment
 * @property int|null $tax_rate_id
 * @property list<int>|null $account_ids
 * @property list<int>|null $cost_centre_ids
 * @property string|null $discount percent
 * @property string|null $currency
 * @property Delivery|null $delivery
 * @property string|null $send_to
 * @property string|null $reference
 * @property int|null $limit_minor in the currency of the side
 * @property CreditPolicy|null $credit_policy of a client
 * @property string|null $account_number ours with a vendor
 * @property PayBy|null $pay_by a vendor
 * @property-read ListedTerms|null $listed
 */
abstract class SideTerms extends Model
{
    protected function casts(): array
    {
        return [
            'tax_treatment' => TaxTreatment::class,
            'delivery' => Delivery::class,
            'credit_policy' => CreditPolicy::class,
            'pay_by' => PayBy::class,
            'account_ids' => 'array',
            'cost_centre_ids' => 'array',
        ];
    }

    /** @return BelongsTo<ListedTerms, $this> */
    public function listed(): BelongsTo
    {
        return $this->belongsTo(ListedTerms::class, 'payment_terms_id');
    }
}
