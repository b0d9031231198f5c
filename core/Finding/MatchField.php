<?php

declare(strict_types=1);

namespace Almanac\Finding;

/** The fields of a record that are searched, the most telling first. */
enum MatchField: string
{
    case Name = 'name';
    case AlsoKnownAs = 'also known as';
    case Code = 'number';
    case Tag = 'tag';
    case WorksAt = 'works at';
    case Email = 'email';
    case Phone = 'phone';
    case Place = 'place';
    case Detail = 'detail';
    case File = 'file';
}
