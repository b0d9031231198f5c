<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** The kinds of contact point. */
enum ContactKind: string
{
    case Phone = 'phone';
    case Email = 'email';
    case Website = 'website';

    public function noun(): string
    {
        return match ($this) {
            self::Phone => 'phone number',
            self::Email => 'email address',
            self::Website => 'web address',
        };
    }

    /** The word for one in a list of contact points. */
    public function label(): string
    {
        return ucfirst($this->value);
    }

    /**
     * Labels offered for the kind; an office may type its own.
     *
     * @return list<string>
     */
    public function usualLabels(): array
    {
        return match ($this) {
            self::Phone => ['office', 'mobile', 'direct', 'switchboard', 'home', 'fax'],
            self::Email => ['office', 'personal', 'accounts', 'orders'],
            self::Website => ['main', 'shop', 'portal'],
        };
    }
}
