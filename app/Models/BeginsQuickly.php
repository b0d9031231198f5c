<?php

declare(strict_types=1);

namespace App\Models;

/** What Eloquent does for every class and every row that is read, without what nobody of ours asks for. */
trait BeginsQuickly
{
    /**
     * What the traits of a model bring along is found by its name, as they call it. Eloquent looks through all of the
     * five hundred methods of each class for a mark that nobody sets: a fifth of the time that a record took.
     */
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot$name")) {
                static::{"boot$name"}();
            }
            if (method_exists(static::class, "initialize$name")) {
                static::$traitInitializers[static::class][] = "initialize$name";
            }
        }
    }

    /**
     * What is written is heard of; that a class is used for the first time or that a row was read, nobody listens to.
     *
     * @param string $event
     * @param bool $halt
     */
    protected function fireModelEvent($event, $halt = true): mixed
    {
        return in_array($event, ['booting', 'booted', 'retrieved'], true) ? true : parent::fireModelEvent($event, $halt);
    }
}
