<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Titled;

/** Why two records look alike, as a list of them is asked for. */
enum Reason: string implements Titled
{
    case Name = 'name';

    case Phone = 'phone';

    case Email = 'email';

    case Place = 'place';

    case Website = 'website';

    case Employer = 'employer';

    case Number = 'number';

    case Tax = 'tax';

    case Born = 'born';

    public function title(): string
    {
        return match ($this) {
            self::Name => 'Same name',
            self::Phone => 'Same phone',
            self::Email => 'Same email',
            self::Place => 'Same address',
            self::Website => 'Same website',
            self::Employer => 'Same company',
            self::Number => 'Same number elsewhere',
            self::Tax => 'Same tax number',
            self::Born => 'Same birth date',
        };
    }

    /** Whether it may only be told to somebody who sees private values. */
    public function isPrivate(): bool
    {
        return $this === self::Tax || $this === self::Born;
    }

    public function bit(): int
    {
        return 1 << (int) array_search($this, self::cases(), true);
    }

    /**
     * One bit for each reason that signs give.
     *
     * @param list<Sign> $signs
     */
    public static function bits(array $signs): int
    {
        $has = fn (Sign ...$some) => array_filter($some, fn (Sign $one) => in_array($one, $signs, true)) !== [];
        $bits = ($has(Sign::NameSame) || ($has(Sign::GivenSame) && $has(Sign::FamilySame))) ? self::Name->bit() : 0;
        foreach ([
            [self::Phone, Sign::PhoneSame], [self::Email, Sign::EmailSame], [self::Place, Sign::PlaceSame],
            [self::Website, Sign::WebsiteSame],
            [self::Employer, Sign::EmployerSame], [self::Number, Sign::NumberSame], [self::Tax, Sign::TaxSame],
            [self::Born, Sign::BornSame],
        ] as [$reason, $sign]) {
            $bits |= $has($sign) ? $reason->bit() : 0;
        }

        return $bits;
    }
}
