<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Records\SectionName;

/** A value that was changed while records were one, and who has it as it is now. */
final readonly class ApartChange
{
    /**
     * @param string $part its section and key
     * @param string $was right after they were made one, for reading
     * @param string $is now; empty where it was taken away
     * @param list<int> $has
     * @param bool $isNew whether it came since, and goes to one of them
     */
    public function __construct(
        public string $part,
        public SectionName $section,
        public string $title,
        public string $was,
        public string $is,
        public array $has,
        public bool $isNew,
    ) {
    }
}
