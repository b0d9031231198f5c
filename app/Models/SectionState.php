<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Values\StateCast;
use Illuminate\Support\Carbon;

/**
 * What a section of a subject was from one save of it to the next, in the shape that it is saved in.
 *
 * @property int $id
 * @property int $subject_id
 * @property string $section
 * @property int $version of the section, from this save on; 0 for what it was before the first
 * @property array<string, mixed> $state
 * @property bool $is_private whether it is encrypted at rest
 * @property int|null $cause_id the state of the section whose save changed this one too
 * @property int|null $user_id
 * @property Carbon $at
 */
final class SectionState extends Model
{
    protected $table = 'section_states';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['is_private' => 'boolean', 'state' => StateCast::class, 'at' => 'datetime'];
    }

    /** @param  array<string, mixed>  $state */
    public function setState(array $state, bool $isPrivate): self
    {
        return $this->forceFill(['is_private' => $isPrivate, 'state' => $state]);
    }

    /** The one that this one followed. */
    public function former(): ?self
    {
        return self::query()->where('subject_id', $this->subject_id)->where('section', $this->section)
            ->where('version', '<', $this->version)->orderByDesc('version')->first();
    }
}
