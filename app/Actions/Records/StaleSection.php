<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use App\Support\SectionName;

/** Somebody else saved the section since it was opened. Nothing was written. */
final class StaleSection extends \RuntimeException
{
    /**
     * @param list<Difference> $differences from what is kept now to what was about to be saved
     * @param int $version of what is kept now
     */
    public function __construct(
        public readonly SectionName $section,
        public readonly array $differences,
        public readonly int $version,
        public readonly ?string $savedBy,
        public readonly ?\DateTimeInterface $savedAt,
    ) {
        parent::__construct(sprintf('%s was saved by somebody else in the meantime.', $section->title()));
    }
}
