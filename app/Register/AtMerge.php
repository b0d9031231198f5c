<?php

declare(strict_types=1);

namespace App\Register;

/** What becomes of the rows of a party that is made one with another. */
enum AtMerge
{
    /** They come to the other as they are. */
    case Moves;

    /** They are put together with those of the other, row by row. */
    case Settles;

    /** They stay under its number: what was told of it, and what it was. */
    case Stays;

    /** They go: they are worked out anew, or say nothing any more. */
    case Drops;
}
