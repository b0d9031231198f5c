<?php

declare(strict_types=1);

namespace App\Models;

/** The terms on which the office pays a party. */
final class VendorTerms extends SideTerms
{
    protected $table = 'vendor_terms';
}
