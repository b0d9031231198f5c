<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Terms\PaymentTerms;
use Almanac\Terms\Shorthand;

/**
 * Payment terms in the office's list, under a name.
 *
 * @property int $id
 * @property string $name
 * @property string $shorthand
 * @property bool $is_client_default what clients have who have no terms of their own
 * @property bool $is_vendor_default
 * @property bool $is_retired kept where they are used, and offered no more
 */
final class ListedTerms extends Model
{
    protected $table = 'payment_terms';

    protected $attributes = ['is_client_default' => false, 'is_vendor_default' => false, 'is_retired' => false];

    protected function casts(): array
    {
        return ['is_client_default' => 'boolean', 'is_vendor_default' => 'boolean', 'is_retired' => 'boolean'];
    }

    public function terms(): PaymentTerms
    {
        return Shorthand::read($this->shorthand);
    }
}
