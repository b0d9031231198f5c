<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/** Somebody who is written to: how their envelope and their letter begin, and with whom they share them. */
final readonly class Addressee
{
    /**
     * @param list<string> $lines of the envelope; none where there is no address
     * @param string $why they cannot be written to; empty where they can
     * @param int|null $togetherWith the spouse with whom they are written to at one address
     * @param string $place the same for all who live at one address; empty where nobody else does
     * @param string $person the name as it stands on an envelope, and
     * @param string $family the family name; both empty of a company
     * @param string $greeting how a letter to them begins
     * @param string $email where they are written to by email; empty where they have none
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
        public string $greeting = '',
        public string $email = '',
    ) {
    }

    /**
     * What all who get one envelope have alike.
     *
     * @param bool $onceAHousehold whether all who live at one address get one
     */
    public function sharedBy(bool $onceAHousehold): string
    {
        return match (true) {
            $onceAHousehold && $this->place !== '' && $this->person !== '' => "place $this->place",
            $this->togetherWith !== null => 'couple '.min($this->id, $this->togetherWith).' '.max($this->id, $this->togetherWith),
            default => "one $this->id",
        };
    }
}
