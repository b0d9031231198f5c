<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** Something that is known of each record of a list: a column, a sort, a condition, a column of a file. */
final readonly class Field
{
    /** @param  bool  $isPrivate  whether it takes a right of its own to ask for it */
    private function __construct(public string $key, public string $title, public FieldType $type, public bool $isPrivate)
    {
    }

    public static function of(string $key, string $title, FieldType $type): self
    {
        return new self($key, $title, $type, false);
    }

    /** The same, called otherwise. */
    public function titled(string $title): self
    {
        return new self($this->key, $title, $this->type, $this->isPrivate);
    }

    public static function ofPrivate(string $key, string $title, FieldType $type): self
    {
        return new self($key, $title, $type, true);
    }
}
