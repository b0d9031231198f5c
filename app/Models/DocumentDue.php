<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use App\Models\Values\DayCast;

/**
 * A part of a document that is due on a day, with what is open of it.
 *
 * @property int $id
 * @property int $document_id
 * @property int $rank
 * @property Day $due_on
 * @property int $amount_minor
 * @property int $open_minor
 */
final class DocumentDue extends Model
{
    protected $table = 'document_dues';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['due_on' => DayCast::class];
    }
}
