<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\Line;

/** A line of one of the records, and whether it stays. */
final readonly class PlannedLine
{
    /**
     * @param string $part its section and key: "reach/contact:12"
     * @param string $text for reading
     * @param string|null $label what it is called, where that can be changed
     * @param bool|null $isPrimary whether it comes first of its kind, where one does
     */
    public function __construct(
        public string $part,
        public Line $line,
        public string $title,
        public string $text,
        public bool $isKept,
        public ?string $label,
        public ?bool $isPrimary,
    ) {
    }
}
