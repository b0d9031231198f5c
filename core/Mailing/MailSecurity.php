<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Titled;

/** How the way to a mail server is secured (RFC 8314; RFC 3207). */
enum MailSecurity: string implements Titled
{
    case Tls = 'tls';
    case StartTls = 'starttls';
    case None = 'none';

    public function title(): string
    {
        return match ($this) {
            self::Tls => 'TLS from the start',
            self::StartTls => 'STARTTLS',
            self::None => 'none, for a server in the house',
        };
    }

    /** The port on which such a server is asked, where nobody says another. */
    public function usualPort(): int
    {
        return match ($this) {
            self::Tls => 465,
            self::StartTls => 587,
            self::None => 25,
        };
    }
}
