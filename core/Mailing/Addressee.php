<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/** Somebody who is written to: how their envelope reads, and with whom they share it. */
final readonly class Addressee
{
    /**
     * @param list<string> $lines of the envelope; none where they cannot be written to
     * @param string $why they cannot be written to; empty where they can
     * @param int|null $togetherWith the spouse with whom they are written to at one address
     * @param string $place the same for all who live at one address; empty where nobody else does
     * @param string $person the name as it stands on an envelope, and
     * @param string $family the family name; both empty of a company
     */
    public function __construct(
        public int $id,
        public string $name,
        public array $lines,
        public string $why = '',
        public ?int $togetherWith = null,
        public string $place = '',
        public string $person = '',
        public string $family = '',
    ) {
    }
}
