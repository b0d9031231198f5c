<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use Almanac\Addresses\TypedAddress;
use App\Actions\Records\MoveAddress;
use App\Http\Data\Records\AddressPartsData;
use App\Http\Requests\Records\MoveRequest;
use App\Models\AddressUse;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What is done with addresses besides typing them: taking a pasted one apart, and moving. */
final readonly class AddressController
{
    #[
        OA\Get(
            path: '/api/parties/{id}/addresses',
            operationId: 'takeAddressApart',
            summary: 'Take a whole address apart',
            tags: ['Records'],
            parameters: [
                new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'typed', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Its parts, and which to look at',
                    content: new OA\JsonContent(ref: '#/components/schemas/AddressParts'),
                ),
            ],
        ),
    ]
    public function apart(Request $request, Party $party): JsonResponse
    {
        $typed = TypedAddress::read(
            mb_substr($request->string('typed')->value(), 0, 1000),
            Office::current()->country,
            array_values(array_filter([$party->display_name, $party->legal_name, $party->isPerson() ? $party->personName()->plain() : ''])),
        );

        return new JsonResponse(AddressPartsData::of($typed));
    }

    #[
        OA\Post(
            path: '/api/parties/{id}/addresses/{addressUse}/move',
            operationId: 'moveAddress',
            summary: 'Move to a new address from a day on, alone or with everybody there',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/MoveInput')),
            tags: ['Records'],
            parameters: [
                new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'addressUse', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Moved; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function move(
        MoveRequest $request,
        Party $party,
        AddressUse $addressUse,
        MoveAddress $move,
        ReadRecord $read,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $move->handle($party, $addressUse, $request->place(), $request->documentIds(), $user);

        return new JsonResponse($read->handle($party));
    }
}
