<?php

declare(strict_types=1);

namespace App\Models;

/** The terms on which the office bills a party. */
final class ClientTerms extends SideTerms
{
    protected $table = 'client_terms';
}
