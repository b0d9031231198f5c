<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Mailing\MailSecurity;
use App\Models\MailServer;
use OpenApi\Attributes as OA;

/** The mail server that the office sends by; its password is never told. */
#[OA\Schema(schema: 'MailServer')]
final readonly class MailServerData
{
    private function __construct(
        #[OA\Property(description: 'Whether there is one; else what is sent is kept here only.')]
        public bool $isSet,
        #[OA\Property]
        public string $host,
        #[OA\Property]
        public int $port,
        #[OA\Property(enum: MailSecurity::class)]
        public string $security,
        #[OA\Property]
        public string $userName,
        #[OA\Property(description: 'Whether a password is kept.')]
        public bool $hasPassword,
        #[OA\Property]
        public string $sender,
        #[OA\Property]
        public int $version,
    ) {
    }

    public static function of(?MailServer $server): self
    {
        return $server === null
            ? new self(false, '', MailSecurity::Tls->usualPort(), MailSecurity::Tls->value, '', false, '', 0)
            : new self(
                true,
                $server->host,
                $server->port,
                $server->security->value,
                $server->user_name,
                $server->password !== '',
                $server->sender,
                $server->version,
            );
    }
}
