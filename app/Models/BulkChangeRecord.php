<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Bulk\BulkOutcome;

/**
 * What came of a bulk change for one record.
 *
 * @property int $bulk_change_id
 * @property int $record_id
 * @property string $name of the record when it was chosen
 * @property int $rank
 * @property BulkOutcome $outcome
 * @property string $message why not
 * @property string|null $way_back
 */
final class BulkChangeRecord extends Model
{
    protected $table = 'bulk_change_records';

    public $timestamps = false;

    public $incrementing = false;

    protected function casts(): array
    {
        return ['outcome' => BulkOutcome::class];
    }
}
