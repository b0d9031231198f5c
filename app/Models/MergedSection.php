<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Values\StateCast;

/**
 * What a section of one of several records said before they were made one.
 *
 * @property int $id
 * @property int $merge_id
 * @property int $party_id
 * @property string $section
 * @property bool $is_private whether it is encrypted at rest
 * @property array<string, mixed> $state
 */
final class MergedSection extends Model
{
    public $timestamps = false;

    protected $table = 'merge_sections';

    protected function casts(): array
    {
        return ['is_private' => 'boolean', 'state' => StateCast::class];
    }
}
