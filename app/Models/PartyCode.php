<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A number or an id by which a party is known somewhere else.
 *
 * @property int $id
 * @property int $party_id
 * @property string $system whose number it is: "our number with them", or the name of another program
 * @property string $value
 * @property int $rank
 */
final class PartyCode extends Model
{
    protected $table = 'party_codes';
}
