<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A payment card, known by a token of the vault; its number is not kept.
 *
 * @property int $id
 * @property int $party_id
 * @property string $brand
 * @property string $last_four
 * @property string $expires year and month, as in 2027-04
 * @property string $holder
 * @property string $postcode of the billing address
 * @property string $token
 * @property int $user_id
 */
final class Card extends Model
{
    protected $table = 'cards';
}
