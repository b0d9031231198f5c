<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** The kinds of contact point: a handle is a name at a messaging service, a profile a page at a social one. */
enum ContactKind: string
{
    case Phone = 'phone';
    case Email = 'email';
    case Website = 'website';
    case Handle = 'handle';
    case Profile = 'profile';

    public function noun(): string
    {
        return match ($this) {
            self::Phone => 'phone number',
            self::Email => 'email address',
            self::Website => 'web address',
            self::Handle => 'handle',
            self::Profile => 'link to a profile',
        };
    }

    /** The word for one in a list of contact points. */
    public function label(): string
    {
        return ucfirst($this->value);
    }
}
