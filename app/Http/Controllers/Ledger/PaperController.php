<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use Almanac\Terms\Side;
use App\Actions\Ledger\SendDocument;
use App\Facts\Ledger\AccountStatement;
use App\Facts\Ledger\AccountStatements;
use App\Http\Data\Ledger\StatementData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Ledger\SendRequest;
use App\Http\Requests\Ledger\StatementRequest;
use App\Models\Document;
use App\Models\Message;
use App\Models\Party;
use App\Models\User;
use App\Papers\DocumentPaper;
use App\Papers\StatementPaper;
use App\Queries\Ledger\ReadDocument;
use App\Queries\Ledger\ReadTaxReport;
use App\Queries\Ledger\WriteReminder;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** What leaves the books on paper, as a table or as a message. */
final readonly class PaperController
{
    public function __construct(
        private DocumentPaper $paper,
        private AccountStatements $statements,
        private StatementPaper $statementPaper,
        private Clock $clock,
    ) {
    }

    #[Reads('documents/{document}/pdf', 'readDocumentPdf', 'A document on paper', '', 'Ledger')]
    public function pdf(Document $document): Response
    {
        return FileAnswer::answer($this->paper->pdf($document), $document->title().'.pdf', 'application/pdf');
    }

    #[Reads('documents/{document}/ubl', 'readDocumentUbl', 'An invoice, a bill or a credit note as UBL 2.1', '', 'Ledger')]
    public function ubl(Document $document): Response
    {
        return FileAnswer::answer($this->paper->ubl($document), $document->title().'.xml', 'application/xml');
    }

    #[
        Adds(
            'documents/{document}/send',
            'sendDocument',
            'Put a document into the outbox, with a message',
            'SendInput',
            'Document',
            'Ledger',
            200,
        ),
    ]
    public function send(
        SendRequest $request,
        Document $document,
        SendDocument $send,
        ReadDocument $read,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $send->handle($document, $request->string('to')->toString(), $request->string('text')->toString(), $user);

        return new JsonResponse($read->handle($document->refresh()));
    }

    #[Reads('messages/{message}', 'readMessage', 'A message of the outbox, as it would leave', '', 'Ledger')]
    public function message(Message $message): Response
    {
        return FileAnswer::answer((string) Storage::get($message->path), 'message.eml', 'message/rfc822');
    }

    #[
        Reads('parties/{id}/statement', 'readStatement', 'The statement of account, also as PDF or CSV', 'Statement', 'Ledger', [
            'side' => 'string',
            'currency' => 'string',
            'from' => 'string',
            'to' => 'string',
            'format' => 'string',
        ]),
    ]
    public function statement(StatementRequest $request, Party $party): Response
    {
        $side = Side::from($request->string('side')->toString());
        $statement = $this->statements->of(
            $party,
            $side,
            $request->string('currency')->toString(),
            $request->string('from')->toString(),
            $request->string('to')->toString(),
        );

        $format = $request->string('format')->toString();
        if ($format === 'pdf' && $statement->isLong()) {
            throw ValidationException::withMessages([
                'from' => 'This statement has '.
                    number_format(count($statement->statement->lines)).
                    ' lines; at most '.
                    number_format(AccountStatement::MOST_AT_ONCE).
                    ' are put on paper while you wait. Have it made behind the screen, choose a shorter period, or save it as CSV.',
            ]);
        }

        return match ($format) {
            'pdf' => FileAnswer::answer(
                $this->statementPaper->pdf($party, $side, $statement),
                "Statement-{$party->display_name}.pdf",
                'application/pdf',
            ),
            'csv' => FileAnswer::answer(
                $this->statementPaper->csv($statement),
                "Statement-{$party->display_name}.csv",
                'text/csv; charset=UTF-8',
            ),
            default => new JsonResponse(StatementData::of($statement, $this->clock->today())),
        };
    }

    #[Reads('parties/{id}/reminder-letter', 'readReminderLetter', 'The letter that reminds of what is late, as PDF', '', 'Ledger')]
    public function reminder(Party $party, WriteReminder $reminder): Response
    {
        return FileAnswer::answer($reminder->pdf($party), "Reminder-{$party->display_name}.pdf", 'application/pdf');
    }

    #[
        Reads('tax-report', 'readTaxReport', 'The vendors that are reported for a year, also as CSV', 'TaxReport', 'Ledger', [
            'year' => 'integer',
            'format' => 'string',
        ]),
    ]
    public function taxReport(Request $request, ReadTaxReport $read, Clock $clock): Response
    {
        $request->validate(['year' => ['nullable', 'integer', 'between:1990,2100'], 'format' => ['nullable', 'in:csv']]);
        $report = $read->handle($request->integer('year', $clock->today()->year));

        return $request->string('format')->toString() === 'csv'
            ? FileAnswer::answer($read->csv($report), "Tax-report-{$report->year}.csv", 'text/csv; charset=UTF-8')
            : new JsonResponse($report);
    }
}
