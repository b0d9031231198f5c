<?php

declare(strict_types=1);

namespace Almanac\Addresses;

/** The parts an address is typed in. */
enum AddressPart: string
{
    case Lines = 'lines';
    case Locality = 'locality';
    case Region = 'region';
    case Postcode = 'postcode';
    case Country = 'country';
}
