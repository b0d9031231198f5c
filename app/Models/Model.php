<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model as Eloquent;

/** What all that is kept has in common. */
abstract class Model extends Eloquent
{
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
     * A column that is kept as it is shown, as most are, is given out as it is: no model of ours has accessors, and
     * to look for one takes Eloquent longer than the reading.
     *
     * @param string $key
     */
    public function getAttribute($key): mixed
    {
        return isset($this->attributes[$key]) && ! isset($this->casts[$key]) && $key !== static::CREATED_AT && $key !== static::UPDATED_AT
            ? $this->attributes[$key]
            : parent::getAttribute($key);
    }
}
