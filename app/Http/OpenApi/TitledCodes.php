<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** The codes of an enum, each with its title. */
final class TitledCodes extends OA\Items
{
    /** @param  class-string<\BackedEnum>  $of */
    public function __construct(string $of)
    {
        parent::__construct(required: ['code', 'name'], properties: [
            new OA\Property('code', type: 'string', enum: array_column($of::cases(), 'value')),
            new OA\Property('name', type: 'string'),
        ], type: 'object');
    }
}
