<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model as Eloquent;

/** What all that is kept has in common. */
abstract class Model extends Eloquent
{
    use BeginsQuickly;

    /** @var array<string, bool> of casts, whether they are one of a few words */
    private static array $enums = [];

    /**
     * Asked thousands of times a request. The keys, which Eloquent adds to it each time, come from the database as the
     * whole numbers that they are.
     *
     * @return array<string, mixed>
     */
    public function getCasts(): array
    {
        return $this->casts;
    }

    /**
     * Nothing of ours is guarded: what a request may say is decided before.
     *
     * @param array<string, mixed> $attributes
     */
    public function fill(array $attributes): static
    {
        foreach ($attributes as $key => $value) {
            $this->setAttribute($key, $value);
        }

        return $this;
    }

    /**
     * What is kept as it is given is kept at once, as it is read at once.
     *
     * @param string $key
     * @param mixed $value
     */
    public function setAttribute($key, $value): static
    {
        if ((! isset($this->casts[$key]) || $this->casts[$key] === 'boolean') && $key !== static::CREATED_AT && $key !== static::UPDATED_AT) {
            $this->attributes[$key] = $value;

            return $this;
        }
        parent::setAttribute($key, $value);

        return $this;
    }

    /**
     * What needs no work, as most does not, is given out as it is: nothing, a column that is kept as it is shown, what was
     * read from one before, a relation that is loaded. No model of ours has accessors, and to look for one takes Eloquent
     * longer than the reading.
     *
     * @param string $key
     */
    public function getAttribute($key): mixed
    {
        if (! isset($this->attributes[$key])) {
            return array_key_exists($key, $this->attributes) ? null : $this->relations[$key] ?? parent::getAttribute($key);
        }
        $cast = $this->casts[$key] ?? null;

        return match (true) {
            $cast === null && $key !== static::CREATED_AT && $key !== static::UPDATED_AT => $this->attributes[$key],
            $cast === 'boolean' => (bool) $this->attributes[$key],
            isset($this->classCastCache[$key]) => $this->classCastCache[$key],
            $cast !== null && (self::$enums[$cast] ??= is_subclass_of($cast, \BackedEnum::class)) => $cast::from($this->attributes[$key]),
            default => parent::getAttribute($key),
        };
    }
}
