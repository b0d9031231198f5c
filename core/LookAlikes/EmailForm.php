<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** An email without what makes no difference to where it goes: capitals, dots, what follows a plus. */
final class EmailForm
{
    /** Before the @ of addresses that are nobody's own. */
    private const EVERYBODYS = [
        'info', 'office', 'admin', 'mail', 'contact', 'sales', 'hello', 'accounts', 'billing', 'invoices', 'enquiries',
        'service', 'support',
    ];

    private const SHORTEST_LOCAL = 6;

    /**
     * @param list<string> $emails
     *
     * @return list<string>
     */
    public static function plain(array $emails): array
    {
        return array_values(array_unique(array_map(function (string $email): string {
            if (! str_contains($email, '@')) {
                return $email;
            }
            [$local, $domain] = explode('@', mb_strtolower($email), 2);

            return str_replace('.', '', explode('+', $local, 2)[0]).'@'.$domain;
        }, $emails)));
    }

    /** What stands before the @, where it is somebody's own; else empty. */
    public static function ownLocal(string $email): string
    {
        $local = strstr($email, '@', before_needle: true) ?: '';

        return strlen($local) < self::SHORTEST_LOCAL || in_array($local, self::EVERYBODYS, true) ? '' : $local;
    }
}
