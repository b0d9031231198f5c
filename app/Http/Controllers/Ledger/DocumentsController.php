<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use Almanac\Ledger\DocumentKind;
use App\Actions\Ledger\ForEngagement;
use App\Actions\Ledger\IssueDocument;
use App\Actions\Ledger\OpenBalance;
use App\Actions\Ledger\TakePayment;
use App\Actions\Ledger\TurnDocument;
use App\Actions\Ledger\WriteAndIssue;
use App\Actions\Ledger\WriteDocument;
use App\Http\Data\Ledger\AgainstData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Ledger\AllocationsRequest;
use App\Http\Requests\Ledger\DocumentRequest;
use App\Http\Requests\Ledger\ForEngagementRequest;
use App\Http\Requests\Ledger\IssueRequest;
use App\Http\Requests\Ledger\LedgerRequest;
use App\Http\Requests\Ledger\OpeningRequest;
use App\Http\Requests\Ledger\ReasonRequest;
use App\Http\Requests\Ledger\TurnRequest;
use App\Models\Document;
use App\Models\Party;
use App\Models\User;
use App\Queries\Ledger\ListLedger;
use App\Queries\Ledger\PreviewDocument;
use App\Queries\Ledger\ReadDefaults;
use App\Queries\Ledger\ReadDocument;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * The documents of the ledger.
 *
 * @phpstan-import-type DocumentInput from WriteDocument
 */
final readonly class DocumentsController
{
    public function __construct(
        private ListLedger $list,
        private ReadDocument $read,
        private WriteDocument $write,
        private IssueDocument $issue,
    ) {
    }

    #[
        Reads(
            'documents',
            'listDocuments',
            'Documents of the ledger, the newest first; open ones by the day they are due',
            'DocumentPage',
            'Ledger',
            LedgerRequest::class,
        ),
    ]
    public function index(LedgerRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->list->documents($request->wanted(), $request->listed(), $user));
    }

    #[Reads('documents/{document}', 'readDocument', 'A whole document', 'Document', 'Ledger')]
    public function show(Document $document): JsonResponse
    {
        return new JsonResponse($this->read->handle($document));
    }

    #[
        Reads(
            'parties/{id}/document-defaults',
            'readDocumentDefaults',
            'What a new document for a party begins with',
            'DocumentDefaults',
            'Ledger',
            ['kind' => 'string', 'engagementId' => 'integer'],
        ),
    ]
    public function defaults(Request $request, Party $party, ReadDefaults $defaults): JsonResponse
    {
        return new JsonResponse(
            $defaults->handle(
                $party,
                DocumentKind::tryFrom($request->string('kind')->toString()) ?? DocumentKind::Invoice,
                $request->filled('engagementId') ? $request->integer('engagementId') : null,
            ),
        );
    }

    #[
        Adds(
            'parties/{id}/document-preview',
            'previewDocument',
            'What a document would be, and what stands against it; nothing is saved',
            'DocumentInput',
            'DocumentPreview',
            'Ledger',
            200,
        ),
    ]
    public function preview(DocumentRequest $request, Party $party, PreviewDocument $preview, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($preview->handle($party, $request->kind(), $this->input($request), $user));
    }

    #[
        Adds(
            'parties/{id}/documents',
            'addDocument',
            'Write a document, as a draft or issued at once',
            'DocumentInput',
            'Document',
            'Ledger',
        ),
    ]
    public function add(DocumentRequest $request, Party $party, WriteAndIssue $both, #[CurrentUser] User $user): JsonResponse
    {
        [$document, $against] = $request->boolean('issues')
            ? $both->handle($party, $request->kind(), $this->input($request), $user)
            : [$this->write->add($party, $request->kind(), $this->input($request), $user), null];

        return new JsonResponse($this->read->handle($document, $against === null ? null : AgainstData::of($against)), 201);
    }

    #[Puts('documents/{document}', 'saveDocument', 'Change a draft', 'DocumentInput', 'Document', 'Ledger')]
    public function change(DocumentRequest $request, Document $document): JsonResponse
    {
        return new JsonResponse($this->read->handle($this->write->change($document, $this->input($request))));
    }

    #[Adds('documents/{document}/issue', 'issueDocument', 'Make a draft count', 'IssueInput', 'Document', 'Ledger', 200)]
    public function issue(IssueRequest $request, Document $document, #[CurrentUser] User $user): JsonResponse
    {
        $this->issue->issue($document, $request->boolean('isConfirmed'), $user, $request->integer('version'));

        return new JsonResponse($this->read->handle($document->refresh()));
    }

    #[Puts(
        'documents/{document}/engagement', 'putDocumentToEngagement',
        'Say which case or project a document and its chain are for', 'ForEngagementInput', 'Document', 'Ledger',
    )]
    public function forEngagement(
        ForEngagementRequest $request,
        Document $document,
        ForEngagement $put,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $put->document($document, $request->engagementId(), $user);

        return new JsonResponse($this->read->handle($document));
    }

    #[Removes('documents/{document}', 'voidDocument', 'Make a document void; it keeps its number', 'ReasonInput', 'Document', 'Ledger')]
    public function void(ReasonRequest $request, Document $document, #[CurrentUser] User $user): JsonResponse
    {
        $this->issue->void($document, $request->string('reason')->toString(), $user);

        return new JsonResponse($this->read->handle($document->refresh()));
    }

    #[
        Adds(
            'documents/{document}/next',
            'turnDocument',
            'Make the next document of the chain, without typing it again',
            'TurnInput',
            'Document',
            'Ledger',
        ),
    ]
    public function next(TurnRequest $request, Document $document, TurnDocument $turn, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            $this->read->handle(
                $turn->handle($document, DocumentKind::from($request->string('kind')->toString()), $request->boolean('isConfirmed'), $user),
            ),
            201,
        );
    }

    #[Adds('documents/{document}/revise', 'reviseDocument', 'Begin the next revision of an issued quote', '', 'Document', 'Ledger')]
    public function revise(Document $document, TurnDocument $turn, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->handle($turn->revise($document, $user)), 201);
    }

    #[Adds('documents/{document}/copy', 'copyDocument', 'Write the same again as a new draft', '', 'Document', 'Ledger')]
    public function copy(Document $document, TurnDocument $turn, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->handle($turn->copy($document, $user)), 201);
    }

    #[Adds('documents/{document}/write-off', 'writeOff', 'Let the rest of a document go', 'ReasonInput', 'Document', 'Ledger', 200)]
    public function writeOff(ReasonRequest $request, Document $document, TakePayment $take, #[CurrentUser] User $user): JsonResponse
    {
        $take->writeOff($document, $request->string('amount')->toString(), $request->string('reason')->toString(), $user);

        return new JsonResponse($this->read->handle($document->refresh()));
    }

    #[
        Adds(
            'documents/{document}/allocations',
            'allocateCredit',
            'Use what is left of a credit on documents',
            'AllocationsInput',
            'Document',
            'Ledger',
            200,
        ),
    ]
    public function use(AllocationsRequest $request, Document $document, TakePayment $take, #[CurrentUser] User $user): JsonResponse
    {
        $take->allocateCredit($document, $request->allocations(), $user);

        return new JsonResponse($this->read->handle($document->refresh()));
    }

    #[Adds('parties/{id}/opening', 'setOpeningBalance', 'Set what was owed when the books began', 'OpeningInput', 'Document', 'Ledger')]
    public function opening(OpeningRequest $request, Party $party, OpenBalance $open, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{side: string, amount: string, currency: string, asOf: string} $input */
        $input = $request->validated();

        return new JsonResponse($this->read->handle($open->handle($party, $input, $user)->refresh()), 201);
    }

    /** @return DocumentInput */
    private function input(DocumentRequest $request): array
    {
        /** @var DocumentInput */
        return $request->validated();
    }
}
