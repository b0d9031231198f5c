<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Details\FieldKind;
use Almanac\Readiness\Purpose;

/**
 * A field of a detail sheet.
 *
 * @property int $id
 * @property int $sheet_id
 * @property string $name
 * @property FieldKind $kind
 * @property list<string> $options of a choice
 * @property string $help
 * @property Purpose|null $required_for what a record is not ready for without it
 * @property int $rank
 * @property bool $is_retired kept where it is filled in, and asked for no more
 */
final class DetailField extends Model
{
    protected $table = 'detail_fields';

    protected $attributes = ['options' => '[]', 'help' => '', 'required_for' => null, 'is_retired' => false];

    protected function casts(): array
    {
        return ['kind' => FieldKind::class, 'options' => 'array', 'required_for' => Purpose::class, 'is_retired' => 'boolean'];
    }

    public function isSecret(): bool
    {
        return $this->kind === FieldKind::Secret;
    }
}
