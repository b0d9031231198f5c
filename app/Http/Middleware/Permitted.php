<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Auth\Middleware\Authorize;

/** Asks for a permission before anything is looked up: who may not, is not told what there is. */
final class Permitted extends Authorize
{
}
