<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** A name under which somebody is reached at a messaging service; the label tells which. */
final readonly class Handle
{
    private const MAX_LENGTH = 100;

    private function __construct(public string $typed, public string $name)
    {
    }

    /** @throws ReachRefused when it is empty, too long, or has a space in it */
    public static function fromTyped(string $typed): self
    {
        $name = trim($typed);

        return match (true) {
            $name === '' => throw ReachRefused::empty(ContactKind::Handle),
            mb_strlen($name) > self::MAX_LENGTH => throw ReachRefused::tooLong(ContactKind::Handle, self::MAX_LENGTH),
            preg_match('/[\s\p{Cc}]/u', $name) === 1 => throw ReachRefused::notAHandle($name),
            default => new self($typed, $name),
        };
    }
}
