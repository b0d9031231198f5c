<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkRefused;
use Almanac\Lists\Condition;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\UndoSave;
use App\Facts\Records\SectionVersions;
use App\Models\Party;
use App\Models\SectionState;
use App\Models\User;

/** Changes something in a section of each record, as if somebody had saved it there. */
final readonly class SectionEdit implements BulkAct
{
    /** @param  \Closure(array<string, mixed>, Party): array<string, mixed>  $edit  of what the section is, in the shape that its write() takes */
    public function __construct(
        private string $title,
        private ?Condition $isSo,
        private Section $section,
        private \Closure $edit,
        private SaveSection $save,
        private UndoSave $undo,
    ) {
    }

    public function title(): string
    {
        return $this->title;
    }

    public function isSo(): ?Condition
    {
        return $this->isSo;
    }

    public function isForUsed(): bool
    {
        return true;
    }

    public function apply(Party $party, User $by): ?string
    {
        $state = $this->section->state($party->load($this->section->reads()));
        $wanted = ($this->edit)($state, $party);
        if ($wanted === $state) {
            return null;
        }
        $version = SectionVersions::of($party, $this->section->name());
        $made = $this->save->handle($this->section, $party, $wanted, $version, $by);

        return $made === null ? null : (string) $made;
    }

    public function takeBack(?Party $party, string $wayBack, User $by): void
    {
        $made = SectionState::query()->find((int) $wayBack);
        if ($party === null || ! $made instanceof SectionState) {
            throw BulkRefused::isGone();
        }
        $this->undo->handle($party, $this->section->name(), $made->version, $by, null);
    }
}
