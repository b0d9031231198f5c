<?php

declare(strict_types=1);

namespace Almanac\Banking;

/** How a second person made sure that new bank details are right. */
enum Confirmation: string
{
    case Call = 'called a number known before';
    case Letter = 'by letter';
    case InPerson = 'in person';

    /** @throws BankingRefused when whoever entered the details confirms them */
    public static function mustBeSecondPerson(int $authorId, int $confirmerId): void
    {
        if ($authorId === $confirmerId) {
            throw BankingRefused::ownConfirmation();
        }
    }
}
