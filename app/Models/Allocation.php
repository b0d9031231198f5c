<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What lowered the open amount of a document: money, a credit, a discount taken in time, or a write-off.
 *
 * @property int $id
 * @property int $document_id
 * @property string $kind payment, credit, discount or write-off
 * @property int|null $payment_id
 * @property int|null $credit_id
 * @property int $amount_minor
 * @property Day $allocated_on
 * @property string $reason
 * @property int $user_id
 * @property-read Document $document
 * @property-read Payment|null $payment
 * @property-read Document|null $credit
 * @property-read User $user
 */
final class Allocation extends Model
{
    protected $table = 'allocations';

    public const PAYMENT = 'payment';

    public const CREDIT = 'credit';

    public const DISCOUNT = 'discount';

    public const WRITE_OFF = 'write-off';

    protected $attributes = ['reason' => ''];

    protected function casts(): array
    {
        return ['allocated_on' => DayCast::class];
    }

    /** @return BelongsTo<Document, $this> */
    public function document(): BelongsTo
    {
        return $this->belongsTo(Document::class);
    }

    /** @return BelongsTo<Payment, $this> */
    public function payment(): BelongsTo
    {
        return $this->belongsTo(Payment::class);
    }

    /** @return BelongsTo<Document, $this> */
    public function credit(): BelongsTo
    {
        return $this->belongsTo(Document::class, 'credit_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
