<?php

declare(strict_types=1);

namespace Almanac\Records;

/** A person, or any organisation: firm, trust, estate, agency, parish. */
enum PartyKind: string
{
    case Person = 'person';
    case Company = 'company';
}
