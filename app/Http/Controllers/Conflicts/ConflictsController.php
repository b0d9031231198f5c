<?php

declare(strict_types=1);

namespace App\Http\Controllers\Conflicts;

use Almanac\Conflicts\Decision;
use App\Actions\Conflicts\DecideFinding;
use App\Actions\Conflicts\SearchConflicts;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Conflicts\ConflictSearchRequest;
use App\Http\Requests\Conflicts\DecisionRequest;
use App\Models\ConflictFinding;
use App\Models\ConflictSearch;
use App\Models\User;
use App\Queries\Conflicts\ReadConflicts;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Conflict searches: made, read as they were, decided. */
final readonly class ConflictsController
{
    public function __construct(private ReadConflicts $read)
    {
    }

    #[Reads(
        'conflict-searches', 'listConflictSearches', 'The newest conflict searches', '[ConflictSearch]', 'Conflicts',
        ['engagementId' => 'integer'],
    )]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse($this->read->newest($request->filled('engagementId') ? $request->integer('engagementId') : null));
    }

    #[Reads(
        'conflict-searches/waiting', 'listWaitingConflicts', 'What searches made by themselves have newly found',
        '[ConflictSearch]', 'Conflicts',
    )]
    public function waiting(): JsonResponse
    {
        return new JsonResponse($this->read->waiting());
    }

    #[Adds(
        'conflict-searches', 'searchConflicts', 'Search the book for all names of a case or project', 'ConflictSearchInput',
        'ConflictSearch', 'Conflicts',
    )]
    public function store(ConflictSearchRequest $request, SearchConflicts $search, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{engagementId: int|null, names: list<array{name: string, role: string}>} $input */
        $input = $request->validated();
        $engagement = $input['engagementId'] === null
            ? null
            : ($this->read->engagement($input['engagementId']) ?? throw new NotFoundHttpException);

        return new JsonResponse($this->read->handle($search->handle($engagement, $input['names'], $user)), 201);
    }

    #[Reads('conflict-searches/{search}', 'readConflictSearch', 'A conflict search, as it was', 'ConflictSearch', 'Conflicts')]
    public function show(ConflictSearch $search): JsonResponse
    {
        return new JsonResponse($this->read->handle($this->readable($search)));
    }

    #[Puts(
        'conflict-findings/{finding}/decision', 'decideFinding', 'Say what was decided about a finding', 'DecisionInput',
        'ConflictSearch', 'Conflicts',
    )]
    public function decide(
        DecisionRequest $request,
        ConflictFinding $finding,
        DecideFinding $decide,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $search = $this->readable($finding->name->search);
        $decide->handle(
            $finding,
            Decision::from($request->string('decision')->value()),
            $request->string('reason')->value(),
            $request->string('on')->value(),
            $request->integer('version'),
            $user,
        );

        return new JsonResponse($this->read->handle($search));
    }

    private function readable(ConflictSearch $search): ConflictSearch
    {
        return ReadConflicts::mayRead($search) ? $search : throw new NotFoundHttpException;
    }
}
