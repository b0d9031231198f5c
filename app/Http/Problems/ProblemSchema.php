<?php

declare(strict_types=1);

namespace App\Http\Problems;

use OpenApi\Attributes as OA;

/** The shape of every error, as the contract shows it. */
#[
    OA\Schema(
        schema: 'Problem',
        description: 'Problem details by RFC 9457.',
        required: ['type', 'title', 'status', 'detail'],
        properties: [
            new OA\Property('type', type: 'string'),
            new OA\Property('title', type: 'string'),
            new OA\Property('status', type: 'integer'),
            new OA\Property('detail', type: 'string'),
            new OA\Property(
                'errors',
                description: 'With status 422: what is wrong, each at its field.',
                type: 'array',
                items: new OA\Items(
                    required: ['field', 'message'],
                    properties: [new OA\Property('field', type: 'string'), new OA\Property('message', type: 'string')],
                    type: 'object',
                ),
            ),
            new OA\Property(
                'movedTo',
                description: 'With status 301 and 410: the record with which this one was made one.',
                type: 'integer',
            ),
            new OA\Property('movedToName', type: 'string'),
            new OA\Property('version', description: 'With status 409: the version that is kept now.', type: 'integer'),
            new OA\Property('savedBy', type: 'string', nullable: true),
            new OA\Property('savedAt', type: 'string', format: 'date-time', nullable: true),
            new OA\Property(
                'differences',
                description: 'With status 409: what is kept now, and what was about to be saved.',
                type: 'array',
                items: new OA\Items(
                    required: ['label', 'theirs', 'yours'],
                    properties: [
                        new OA\Property('label', type: 'string'),
                        new OA\Property('theirs', type: 'string'),
                        new OA\Property('yours', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class ProblemSchema
{
}
