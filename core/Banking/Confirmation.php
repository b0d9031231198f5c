<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Almanac\Titled;

/** How a second person made sure that new bank details are right. */
enum Confirmation: string implements Titled
{
    case Call = 'call';
    case Letter = 'letter';
    case InPerson = 'in-person';

    public function title(): string
    {
        return match ($this) {
            self::Call => 'called a number known before',
            self::Letter => 'by letter',
            self::InPerson => 'in person',
        };
    }

    /** @throws BankingRefused when whoever entered the details confirms them */
    public static function mustBeSecondPerson(int $authorId, int $confirmerId): void
    {
        if ($authorId === $confirmerId) {
            throw BankingRefused::ownConfirmation();
        }
    }
}
