<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\SectionName;
use App\Models\Change;
use App\Models\SubjectModel;

/** Somebody else saved the section since it was opened. Nothing was written. */
final class StaleSection extends \RuntimeException
{
    /**
     * @param list<Difference> $differences from what is kept now to what was about to be saved
     * @param int $version of what is kept now
     */
    private function __construct(
        public readonly SectionName $section,
        public readonly array $differences,
        public readonly int $version,
        public readonly ?string $savedBy,
        public readonly ?\DateTimeInterface $savedAt,
    ) {
        parent::__construct(sprintf('%s was saved by somebody else in the meantime.', $section->title()));
    }

    /** @param  list<Difference>  $differences */
    public static function of(SectionName $section, SubjectModel $subject, int $version, array $differences): self
    {
        $last = Change::query()->with('user')
            ->where('subject_id', $subject->id)
            ->where('section', $section->value)
            ->latest('id')->first();

        return new self($section, $differences, $version, $last?->user->name, $last?->at);
    }
}
