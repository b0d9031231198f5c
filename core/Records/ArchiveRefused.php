<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Refusal;

/** A record that cannot be deleted as it is. */
final class ArchiveRefused extends Refusal
{
    /** @param  non-empty-list<string>  $references as in "2 positions" */
    public static function stillUsed(array $references): self
    {
        $last = array_pop($references);
        $list = $references === [] ? $last : implode(', ', $references).' and '.$last;

        return new self(sprintf('It is still used by %s, so deleting it would leave a hole. Archive it instead.', $list));
    }
}
