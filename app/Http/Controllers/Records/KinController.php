<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use App\Actions\Records\TakeOver;
use App\Http\Requests\Records\TakeOverRequest;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ListKin;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Who is likely to be related, and what is taken over from them. */
final readonly class KinController
{
    #[OA\Get(path: '/api/parties/{id}/kin', operationId: 'listKin', summary: 'Who is likely to be related: at the same address, or of the same family name', tags: ['Records'], parameters: [
        new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 200, description: 'Those at the same address first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/PartyRow'))),
    ])]
    public function index(Party $party, ListKin $kin): JsonResponse
    {
        return new JsonResponse($kin->handle($party));
    }

    #[OA\Post(path: '/api/parties/{id}/take-over', operationId: 'takeOver', summary: 'Use the address or the phone of another record by link', requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/TakeOverInput')), tags: ['Records'], parameters: [
        new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 200, description: 'The whole record', content: new OA\JsonContent(ref: '#/components/schemas/Record')),
        new OA\Response(response: 'default', description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function takeOver(TakeOverRequest $request, Party $party, TakeOver $takeOver, ReadRecord $read, #[CurrentUser] User $user): JsonResponse
    {
        $takeOver->handle($party, $request->integer('fromId'), $request->boolean('address'), $request->boolean('phone'), $user);

        return new JsonResponse($read->handle($party->refresh()));
    }
}
