<?php

declare(strict_types=1);

namespace App\Http\Controllers\Engagements;

use App\Actions\Engagements\BeginEngagement;
use App\Actions\Engagements\EngagementLife;
use App\Actions\Ledger\WriteDocument;
use App\Actions\Ledger\WriteShares;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Engagements\BeginRequest;
use App\Http\Requests\Engagements\EngagementsRequest;
use App\Http\Requests\Ledger\DocumentRequest;
use App\Http\Requests\Records\ArchiveRequest;
use App\Http\Requests\Records\StreamRequest;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\User;
use App\Queries\Engagements\ListEngagements;
use App\Queries\Engagements\ReadEngagement;
use App\Queries\Records\ReadChanges;
use App\Queries\Records\ReadStream;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Cases and projects: the list, one of them, its beginning and its end.
 *
 * @phpstan-import-type DocumentInput from WriteDocument
 */
final readonly class EngagementsController
{
    public function __construct(private ReadEngagement $read)
    {
    }

    #[Reads(
        'engagements', 'listEngagements', 'Cases and projects, with the band of their stages', 'EngagementPage',
        'Engagements', EngagementsRequest::class,
    )]
    public function index(EngagementsRequest $request, ListEngagements $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($list->handle($request->wanted(), $request->listed(), $user));
    }

    #[Reads(
        'parties/{id}/engagements', 'listEngagementsOfRecord', 'All cases and projects that a record was ever part of',
        '[EngagementRow]', 'Engagements',
    )]
    public function ofRecord(Party $party, ListEngagements $list): JsonResponse
    {
        return new JsonResponse($list->ofRecord($party));
    }

    #[Adds('engagements', 'beginEngagement', 'Begin a case or a project', 'EngagementInput', 'Engagement', 'Engagements')]
    public function store(BeginRequest $request, BeginEngagement $begin, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{kindId: int, stageId: int, begunOn: string, parties: list<array<string, mixed>>} $input */
        $input = $request->validated();

        return new JsonResponse($this->read->handle($begin->handle($input, $user)), 201);
    }

    #[Reads('engagements/{engagement}', 'readEngagement', 'A whole case or project', 'Engagement', 'Engagements')]
    public function show(Engagement $engagement): JsonResponse
    {
        return new JsonResponse($this->read->handle($engagement));
    }

    #[Reads(
        'engagements/{engagement}/changes', 'readEngagementChanges', 'Its log', 'Changes', 'Engagements',
        ['before' => 'integer', 'show' => 'string'],
    )]
    public function changes(Request $request, Engagement $engagement, ReadChanges $changes): JsonResponse
    {
        $show = $request->string('show')->toString();

        return new JsonResponse($changes->handle(
            $engagement,
            $request->has('before') ? $request->integer('before') : null,
            in_array($show, ['entries', 'changes'], true) ? $show : 'all',
        ));
    }

    #[Reads(
        'engagements/{engagement}/stream', 'readEngagementStream', 'Its history in one stream', 'Stream', 'Engagements',
        StreamRequest::class,
    )]
    public function stream(StreamRequest $request, Engagement $engagement, ReadStream $read): JsonResponse
    {
        return new JsonResponse($read->handle($engagement, $request->filter(), $request->before(), false));
    }

    #[Adds(
        'engagements/{engagement}/shared-invoice', 'writeSharedInvoice',
        'Write an invoice in shares, a draft for each payer', 'DocumentInput', '[DocumentRow]', 'Engagements',
    )]
    public function share(
        DocumentRequest $request,
        Engagement $engagement,
        WriteShares $write,
        Clock $clock,
        #[CurrentUser] User $user,
    ): JsonResponse {
        /** @var DocumentInput $input */
        $input = $request->validated();

        return new JsonResponse(
            array_map(
                fn (Document $document) => DocumentRowData::of($document, $clock->today()),
                $write->handle($engagement, $input, $user),
            ),
            201,
        );
    }

    #[Puts(
        'engagements/{engagement}/archive', 'archiveEngagement', 'Take a case or a project out of use', 'ArchiveInput',
        'Engagement', 'Engagements',
    )]
    public function archive(ArchiveRequest $request, Engagement $engagement, EngagementLife $life, #[CurrentUser] User $user): JsonResponse
    {
        $life->archive($engagement, $request->string('reason')->value(), $user);

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Removes(
        'engagements/{engagement}/archive', 'restoreEngagement', 'Take an archived case or project back into use', '',
        'Engagement', 'Engagements',
    )]
    public function restore(Engagement $engagement, EngagementLife $life, #[CurrentUser] User $user): JsonResponse
    {
        $life->restore($engagement, $user);

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Removes('engagements/{engagement}', 'deleteEngagement', 'Delete a case or a project that nothing refers to', '', '', 'Engagements')]
    public function destroy(Engagement $engagement, EngagementLife $life): Response
    {
        $life->delete($engagement);

        return new Response(status: 204);
    }
}
