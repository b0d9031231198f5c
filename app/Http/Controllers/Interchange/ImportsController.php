<?php

declare(strict_types=1);

namespace App\Http\Controllers\Interchange;

use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\ListFormat;
use Almanac\Interchange\OnExisting;
use App\Actions\Interchange\DecideImport;
use App\Actions\Interchange\FetchBook;
use App\Actions\Interchange\FetchedBook;
use App\Actions\Interchange\ReceiveFile;
use App\Actions\Interchange\RunImport;
use App\Http\Data\Interchange\BookPlacesData;
use App\Http\Data\Interchange\ImportColumnsData;
use App\Http\FileAnswer;
use App\Http\Middleware\FetchBookFirst;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Interchange\BookElsewhereRequest;
use App\Http\Requests\Interchange\DecideLinesRequest;
use App\Http\Requests\Interchange\ImportColumnsRequest;
use App\Http\Requests\Interchange\ImportLineRequest;
use App\Http\Requests\Interchange\ImportLinesQuery;
use App\Http\Requests\Interchange\ImportRequest;
use App\Http\Requests\Interchange\TemplateQuery;
use App\Models\Import;
use App\Models\Office;
use App\Models\User;
use App\Queries\Interchange\ReadImports;
use App\Queries\Interchange\WriteTemplate;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Files that are read in: of people and companies, or of documents. */
final readonly class ImportsController
{
    public function __construct(private RunImport $run, private DecideImport $decide, private ReadImports $read)
    {
    }

    #[Reads('imports', 'listImports', 'Files that are being read in, the newest first', '[Import]', 'Interchange')]
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->latest($user));
    }

    #[
        OA\Post(
            path: '/api/imports',
            operationId: 'addImport',
            summary: 'Hand in a file of people and companies, or of documents; it is read, and nothing is taken yet',
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(ref: '#/components/schemas/ImportUpload'),
                ),
            ),
            tags: ['Interchange'],
            responses: [
                new OA\Response(response: 201, description: 'Received', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(ImportRequest $request, ReceiveFile $receive, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->one($receive->handle($request->upload(), $user), $user), 201);
    }

    #[Adds(
        'imports/elsewhere', 'fetchAddressBook', 'Fetch the contacts of an address book elsewhere (CardDAV)',
        'BookElsewhereInput', 'Import', 'Interchange',
    )]
    public function fetch(BookElsewhereRequest $request, FetchBook $fetch, #[CurrentUser] User $user): JsonResponse
    {
        $book = $request->attributes->get(FetchBookFirst::class);
        if (! $book instanceof FetchedBook) {
            throw new ConflictHttpException('The address book was not fetched. Try again.');
        }

        return new JsonResponse($this->read->one($fetch->receive($book, $user), $user), 201);
    }

    #[Reads('imports/places', 'listBookPlaces', 'Where address books elsewhere may be read', 'BookPlaces', 'Interchange')]
    public function places(): JsonResponse
    {
        return new JsonResponse(new BookPlacesData(Office::current()->bookPlaces()));
    }

    #[Reads('imports/template', 'importTemplate', 'A table of people and companies to fill in', '', 'Interchange', TemplateQuery::class)]
    public function template(TemplateQuery $query, WriteTemplate $template): StreamedResponse
    {
        $format = $query->enum('format', ListFormat::class) ?? ListFormat::Csv;

        return FileAnswer::stream($template->handle($format), 'People and companies.'.$format->ending(), $format->mediaType());
    }

    #[Reads('imports/{import}', 'readImport', 'How far a file is', 'Import', 'Interchange')]
    public function show(Import $import, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($import, $user);
    }

    #[Reads('imports/{import}/columns', 'readImportColumns', 'What the columns of a file are, and can be', 'ImportColumns', 'Interchange')]
    public function columns(Import $import, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);

        return new JsonResponse(ImportColumnsData::of($import));
    }

    #[Puts(
        'imports/{import}/columns', 'setImportColumns', 'Say what the columns are; the file is checked with that',
        'ImportColumnsInput', 'Import', 'Interchange',
    )]
    public function match(Import $import, ImportColumnsRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        $this->decide->columns($import, $request->settings($import->settings), $request->of($import));

        return $this->answer($import, $user);
    }

    #[Reads(
        'imports/{import}/lines', 'readImportLines', 'The lines of a file, and what each comes to', 'ImportLines',
        'Interchange', ImportLinesQuery::class,
    )]
    public function lines(Import $import, ImportLinesQuery $query, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);

        return new JsonResponse($this->read->lines(
            $import,
            $query->enum('outcome', LineOutcome::class),
            $query->enum('done', LineDone::class),
            $query->integer('page', 1),
        ));
    }

    #[Puts(
        'imports/{import}/lines/{line}', 'decideImportLine', 'Mend a line, or say what it is', 'ImportLineInput',
        'ImportLine', 'Interchange',
    )]
    public function line(Import $import, int $line, ImportLineRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        /** @var array{decision: string|null, recordId: int|null, existing: string|null} $said */
        $said = $request->validated();
        $this->decide->line(
            $import, $line, $request->cells($line), $said['decision'], $said['recordId'],
            OnExisting::tryFrom($said['existing'] ?? ''),
        );

        return new JsonResponse($this->read->line($import, $line));
    }

    #[Adds(
        'imports/{import}/decide', 'decideImportLines', 'Say the same of all lines that come to the same',
        'DecideLinesInput', 'Import', 'Interchange', 200,
    )]
    public function decideAll(Import $import, DecideLinesRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        /** @var array{outcome: string, decision: string|null} $said */
        $said = $request->validated();
        $this->decide->all($import, LineOutcome::from($said['outcome']), $said['decision']);

        return $this->answer($import, $user);
    }

    #[Reads('imports/{import}/wrong', 'readWrongLines', 'The lines that are wrong as a table, with why', '', 'Interchange')]
    public function wrong(Import $import, #[CurrentUser] User $user): StreamedResponse
    {
        $this->mustBeTheirs($import, $user);

        return FileAnswer::stream($this->read->wrong($import), 'Wrong lines.csv', ListFormat::Csv->mediaType());
    }

    #[Adds(
        'imports/{import}/take', 'takeImport', 'Take a file that was checked, or go on with one that was stopped', '',
        'Import', 'Interchange', 200,
    )]
    public function take(Import $import, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        $import->isStuck() ? $this->run->again($import) : $this->run->begin($import);

        return $this->answer($import, $user);
    }

    #[Adds('imports/{import}/stop', 'stopImport', 'Stop it; what is taken stays taken', '', 'Import', 'Interchange', 200)]
    public function stop(Import $import, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        $this->run->stop($import);

        return $this->answer($import, $user);
    }

    #[Adds(
        'imports/{import}/take-back', 'takeImportBack', 'Take an import back; what was changed since stays', '', 'Import',
        'Interchange', 200,
    )]
    public function takeBack(Import $import, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        $this->run->takeBack($import);

        return $this->answer($import, $user);
    }

    #[Removes('imports/{import}', 'forgetImport', 'Forget a file; what was taken stays', '', 'Import', 'Interchange')]
    public function forget(Import $import, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($import, $user);
        $data = $this->read->one($import, $user);
        $this->run->forget($import);

        return new JsonResponse($data);
    }

    private function answer(Import $import, User $user): JsonResponse
    {
        return new JsonResponse($this->read->one($import, $user));
    }

    /** What is in a file may be private. */
    private function mustBeTheirs(Import $import, User $user): void
    {
        abort_unless($user->maySteer($import), 403, 'Only who handed the file in, or an administrator, may do that.');
    }
}
