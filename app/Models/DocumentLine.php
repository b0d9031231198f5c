<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Ledger\Line;
use Almanac\Money\Percent;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One line of a document.
 *
 * @property int $id
 * @property int $document_id
 * @property int $rank
 * @property string $text
 * @property string $quantity
 * @property string $price
 * @property string $discount percent
 * @property int|null $tax_rate_id
 * @property string $tax percent
 * @property int|null $account_id
 * @property int|null $source_line_id the line of a quote or an order that it takes from
 * @property list<int> $cost_centre_ids
 * @property int $amount_minor
 * @property-read LedgerAccount|null $account
 * @property-read TaxRate|null $taxRate
 */
final class DocumentLine extends Model
{
    protected $table = 'document_lines';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['cost_centre_ids' => 'array'];
    }

    public function line(): Line
    {
        return Line::of(
            $this->text,
            BigDecimal::of($this->quantity),
            BigDecimal::of($this->price),
            Percent::of($this->discount),
            Percent::of($this->tax),
        );
    }

    /** @return BelongsTo<Document, $this> */
    public function document(): BelongsTo
    {
        return $this->belongsTo(Document::class);
    }

    /** @return BelongsTo<LedgerAccount, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(LedgerAccount::class);
    }

    /** @return BelongsTo<TaxRate, $this> */
    public function taxRate(): BelongsTo
    {
        return $this->belongsTo(TaxRate::class);
    }
}
