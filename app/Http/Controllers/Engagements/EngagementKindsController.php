<?php

declare(strict_types=1);

namespace App\Http\Controllers\Engagements;

use App\Actions\Engagements\KeepEngagementKinds;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Engagements\EngagementKindRequest;
use App\Models\EngagementKind;
use App\Queries\Engagements\ReadEngagementKinds;
use Illuminate\Http\JsonResponse;

/** What the firm calls what it does for others: kinds, their stages and roles. */
final readonly class EngagementKindsController
{
    public function __construct(private KeepEngagementKinds $keep, private ReadEngagementKinds $read)
    {
    }

    #[Reads('engagement-kinds', 'readEngagementKinds', 'The kinds of cases and projects', '[EngagementKind]', 'Engagements')]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->read->handle());
    }

    #[Adds(
        'engagement-kinds', 'addEngagementKind', 'Add a kind of case or project', 'EngagementKindInput', '[EngagementKind]',
        'Engagements',
    )]
    public function add(EngagementKindRequest $request): JsonResponse
    {
        return $this->save(new EngagementKind, $request, 201);
    }

    #[Puts(
        'engagement-kinds/{kind}', 'saveEngagementKind', 'Change a kind of case or project, or retire it',
        'EngagementKindInput', '[EngagementKind]', 'Engagements',
    )]
    public function change(EngagementKindRequest $request, EngagementKind $kind): JsonResponse
    {
        return $this->save($kind, $request, 200);
    }

    private function save(EngagementKind $kind, EngagementKindRequest $request, int $status): JsonResponse
    {
        /**
         * @var array{
         *     name: string, plural: string, sign: string, isRetired: bool,
         *     stages: list<array{id: int|null, name: string, meaning: string, mostDays: int|null, isRetired: bool}>,
         *     roles: list<array{
         *         id: int|null, name: string, least: int, most: int|null, isClient: bool, opposes: list<string>, isRetired: bool,
         *     }>,
         * } $input
         */
        $input = $request->validated();
        $this->keep->save($kind, $input);

        return new JsonResponse($this->read->handle(), $status);
    }
}
