<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Lists\ListOf;
use Illuminate\Database\Eloquent\Model;

/** The registers of all lists. */
final class Registers
{
    /** @return ListRegister<covariant Model> */
    public static function of(ListOf $list): ListRegister
    {
        return match ($list) {
            ListOf::Records => new PartyRegister,
            ListOf::Documents => new DocumentRegister,
            ListOf::Engagements => new EngagementRegister,
        };
    }
}
