<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Calendar\Day;

/** What one record says of something that the record that several become can say once. */
final readonly class Offer
{
    /**
     * @param int $partyId whose it is
     * @param mixed $value what is compared
     * @param string $text for reading
     * @param int|null $changed when by the change log it was changed last: a number that grows with time
     * @param Day|null $changedOn the day of it
     */
    public function __construct(
        public int $partyId,
        public mixed $value,
        public string $text,
        public bool $isEmpty,
        public ?int $changed = null,
        public ?Day $changedOn = null,
        public bool $isConfirmed = false,
    ) {
    }
}
