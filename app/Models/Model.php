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
}
