<?php

declare(strict_types=1);

namespace Almanac\Cautions;

use Almanac\Calendar\Day;
use Almanac\Records\Period;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;

/** A message that is shown when somebody uses the record for something. */
final readonly class Caution
{
    private const MAX_LENGTH = 300;

    private function __construct(
        public CautionLevel $level,
        public CautionUse $use,
        public string $text,
        public Period $period,
    ) {
    }

    /** @throws WordingRefused when the message is empty or has over 300 characters */
    public static function of(CautionLevel $level, CautionUse $use, string $text, Period $period): self
    {
        $text = Wording::line($text, self::MAX_LENGTH, 'Write what colleagues should know.');

        return new self($level, $use, $text, $period);
    }

    public function concerns(CautionUse $use, Day $day): bool
    {
        return $this->period->includes($day)
            && ($this->use === CautionUse::Any || $use === CautionUse::Any || $this->use === $use);
    }

    /** Anybody who may change the record lifts a note; a stop only its author or an administrator. */
    public function mayBeLifted(bool $byItsAuthor, bool $byAnAdministrator): bool
    {
        return $this->level === CautionLevel::Note || $byItsAuthor || $byAnAdministrator;
    }

    /** For the change log: "stop, when paying: the account is disputed, until 30 Jun 2026". */
    public function toText(): string
    {
        return $this->level->value
            .($this->use === CautionUse::Any ? '' : ', when '.$this->use->value)
            .': '.$this->text
            .($this->period->toText() === '' ? '' : ', '.$this->period->toText());
    }
}
