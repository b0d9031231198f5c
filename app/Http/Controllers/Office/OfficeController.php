<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Access\KeepSecondFactor;
use App\Actions\Office\KeepUsers;
use App\Actions\Office\SaveOffice;
use App\Http\Data\Access\SessionData;
use App\Http\Data\Office\OfficeData;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Office\OfficeRequest;
use App\Http\Requests\Office\SecondFactorRolesRequest;
use App\Http\Requests\Office\UserRequest;
use App\Models\Office;
use App\Models\User;
use App\Queries\Office\ListActs;
use App\Queries\Office\ListUsers;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The settings of the office; for administrators. */
final readonly class OfficeController
{
    public function __construct(private KeepUsers $keep, private ListUsers $list)
    {
    }

    #[
        OA\Get(
            path: '/api/office',
            operationId: 'readOffice',
            summary: 'The office whose book this is',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Its name, address and formats',
                    content: new OA\JsonContent(ref: '#/components/schemas/Office'),
                ),
            ],
        ),
    ]
    public function show(): JsonResponse
    {
        return new JsonResponse(OfficeData::of(Office::current()));
    }

    #[
        OA\Put(
            path: '/api/office',
            operationId: 'saveOffice',
            summary: 'Save the name, the address and the formats of the office',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/OfficeInput')),
            tags: ['Office'],
            responses: [
                new OA\Response(response: 200, description: 'Saved', content: new OA\JsonContent(ref: '#/components/schemas/Session')),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function save(OfficeRequest $request, SaveOffice $save, Clock $clock, #[CurrentUser] User $user): JsonResponse
    {
        /**
         * @var array{
         *     name: string, country: string, lines: string, locality: string, region: string, postcode: string,
         *     monthFirst: bool, decimalComma: bool|null, timeZone: string, phone: string, email: string, howToPay: string, clerksMakeOne?: bool,
         * } $input
         */
        $input = $request->validated();
        $office = $save->handle($input);

        return new JsonResponse(SessionData::of($user, $office, $clock->today()->toIso()));
    }

    #[Reads('acts', 'listActs', 'Who did what in the office, the newest first', 'ActPage', 'Office', ['before' => 'integer'])]
    public function acts(Request $request, ListActs $acts): JsonResponse
    {
        $request->validate(['before' => ['nullable', 'integer']]);

        return new JsonResponse($acts->handle($request->query('before') === null ? null : $request->integer('before')));
    }

    #[
        OA\Get(
            path: '/api/users',
            operationId: 'listUsers',
            summary: 'Who signs in',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Those at the office first',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/User')),
                ),
            ],
        ),
    ]
    public function users(): JsonResponse
    {
        return new JsonResponse($this->list->handle());
    }

    #[
        OA\Post(
            path: '/api/users',
            operationId: 'addUser',
            summary: 'Add a colleague',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/UserInput')),
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Added; everybody who signs in',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/User')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(UserRequest $request): JsonResponse
    {
        $this->keep->add(
            $request->string('name')->value(),
            $request->string('email')->value(),
            $request->string('password')->value(),
            $request->role(),
        );

        return new JsonResponse($this->list->handle(), 201);
    }

    #[
        OA\Put(
            path: '/api/users/{user}',
            operationId: 'saveUser',
            summary: 'Change what a colleague may do, retire one, or set a new password',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/UserInput')),
            tags: ['Office'],
            parameters: [new OA\Parameter(name: 'user', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Saved; everybody who signs in',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/User')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function change(UserRequest $request, User $user): JsonResponse
    {
        $this->keep->change(
            $user,
            $request->string('name')->value(),
            $request->role(),
            $request->boolean('isRetired'),
            $request->string('password')->value(),
        );

        return new JsonResponse($this->list->handle());
    }

    #[Removes('users/{user}/second-factor', 'resetSecondFactor', 'Reset the second factor of a user who lost it', '', '[User]', 'Office')]
    public function resetSecondFactor(User $user, KeepSecondFactor $factors): JsonResponse
    {
        $factors->reset($user);

        return new JsonResponse($this->list->handle());
    }

    #[Puts('office/second-factor', 'requireSecondFactor', 'Choose the roles that sign in with a second factor', 'SecondFactorRolesInput', 'Office', 'Office')]
    public function requireSecondFactor(SecondFactorRolesRequest $request): JsonResponse
    {
        $office = Office::query()->lockForUpdate()->sole();
        $office->update(['second_factor_roles' => $request->roles()]);

        return new JsonResponse(OfficeData::of($office));
    }
}
