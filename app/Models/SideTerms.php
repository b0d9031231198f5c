<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A party's own payment terms on one side: an entry of the office's list, or shorthand, or
 * neither, which means the office's default.
 *
 * @property int $id
 * @property int $party_id
 * @property int|null $payment_terms_id
 * @property string|null $shorthand
 * @property-read ListedTerms|null $listed
 */
abstract class SideTerms extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<ListedTerms, $this> */
    public function listed(): BelongsTo
    {
        return $this->belongsTo(ListedTerms::class, 'payment_terms_id');
    }
}
