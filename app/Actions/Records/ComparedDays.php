<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use App\Models\SubjectModel;

/** A subject as it was on a day, beside another day. */
final readonly class ComparedDays
{
    /**
     * @param bool $isNow whether the other day is today, so that what is different can be brought back
     * @param SubjectModel $then what it was; never saved
     * @param list<ComparedSection> $sections
     * @param Day|null $savedBefore the last day before, and the first after it, on which something of it was saved
     */
    public function __construct(
        public Day $day,
        public Day $other,
        public bool $isNow,
        public SubjectModel $then,
        public array $sections,
        public ?Day $savedBefore,
        public ?Day $savedAfter,
    ) {
    }
}
