<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Terms\PaymentTerms;
use Almanac\Terms\Shorthand;
use Illuminate\Database\Eloquent\Model;

/**
 * Payment terms in the office's list, under a name.
 *
 * @property int $id
 * @property string $name
 * @property string $shorthand
 * @property bool $is_client_default what clients have who have no terms of their own
 * @property bool $is_vendor_default
 */
final class ListedTerms extends Model
{
    protected $table = 'payment_terms';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['is_client_default' => 'boolean', 'is_vendor_default' => 'boolean'];
    }

    public function terms(): PaymentTerms
    {
        return Shorthand::read($this->shorthand);
    }
}
