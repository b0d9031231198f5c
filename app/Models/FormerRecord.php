<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A record that was made one with another, and where it is found now.
 *
 * @property int $party_id the number it had, which its log and its past states still have
 * @property int $number the office's own number that it had
 * @property string $name
 * @property string $kept_was what the other was called before
 * @property int $kept_id
 * @property int $merge_id
 * @property-read Party $kept
 */
final class FormerRecord extends Model
{
    protected $table = 'former_records';

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'party_id';

    /** @return BelongsTo<Party, $this> */
    public function kept(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'kept_id');
    }
}
