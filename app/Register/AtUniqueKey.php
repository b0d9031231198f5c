<?php

declare(strict_types=1);

namespace App\Register;

/** What becomes of a row that is pointed to another party, where that party has one of the same key. */
enum AtUniqueKey
{
    /** It says the same, or less: it goes. */
    case Goes;

    /** It says something else: the two are made one by hand first. */
    case Refused;
}
