<?php

declare(strict_types=1);

namespace App\Register;

/** How a row holds to the party that it names. */
enum Hold
{
    /** It is a part of the record, and goes with it. */
    case Owned;

    /** It is somebody else's as well, or of the books: while it is there, the party cannot go. */
    case Binding;

    /** It is worked out from the record, and can be again. */
    case Derived;
}
