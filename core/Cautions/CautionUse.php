<?php

declare(strict_types=1);

namespace Almanac\Cautions;

/** For what use of the record a caution is shown. */
enum CautionUse: string
{
    case Any = 'any';
    case Billing = 'billing';
    case Paying = 'paying';
    case Writing = 'writing';
}
