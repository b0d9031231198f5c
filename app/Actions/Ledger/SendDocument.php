<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\LedgerRefused;
use Almanac\Reach\ContactUse;
use Almanac\Reach\EmailAddress;
use Almanac\Records\LogKind;
use Almanac\Terms\Side;
use App\Actions\Notes\WriteLogEntry;
use App\Facts\Records\Recipients;
use App\Models\Document;
use App\Models\Office;
use App\Models\User;
use App\Outside\Outbox;
use App\Papers\DocumentPaper;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\Mime\Exception\ExceptionInterface;

/** Sends a document: into the outbox that ships with the application, as a message with the paper in it, and into the log. */
final readonly class SendDocument
{
    public function __construct(
        private DocumentPaper $paper,
        private Outbox $outbox,
        private WriteLogEntry $log,
        private NoteEvent $note,
        private Clock $clock,
    ) {
    }

    /**
     * @param string $to addresses with commas between; empty for where such documents go
     *
     * @throws LedgerRefused when it is a draft, or void
     * @throws ValidationException when there is nobody to send it to
     */
    public function handle(Document $document, string $to, string $text, User $by): void
    {
        DocumentAct::Send->mustBeAllowed($document->kind, $document->state);
        $problems = new FieldProblems();
        $addresses =
            trim($to) === ''
                ? Recipients::emails($document->party, $document->kind->side() === Side::Client ? ContactUse::Invoices : ContactUse::Orders)
                : array_map(
                    fn (string $one) => (string) $problems->at('to', fn () => EmailAddress::fromTyped($one)->address()),
                    preg_split('/\s*[,;]\s*/', trim($to)) ?: [],
                );
        if ($addresses === []) {
            $problems->add('to', 'They have no email. Type one, or add it to the record.');
        }
        $problems->throwIfAny();
        $subject = $document->title().' from '.Office::current()->name;
        // The paper is drawn before anybody has to wait for it.
        $message = $this->message($document, $addresses, $subject, $text, $by);
        DB::transaction(function () use ($document, $addresses, $subject, $message, $by): void {
            $this->outbox->put($document->party, $document->id, $addresses, $subject, $message, $by);
            $document->update(['sent_at' => $this->clock->now()]);
            $this->note->handle($document, 'sent to '.implode(', ', $addresses), $by);
            $this->log->sent($document->party, null, LogKind::Email, 'Sent '.$document->title().' to '.implode(', ', $addresses).'.', $by);
        });
    }

    /**
     * @param list<string> $addresses
     *
     * @throws ValidationException when an address, though rightly written, cannot be sent to
     */
    private function message(Document $document, array $addresses, string $subject, string $text, User $by): string
    {
        $name = preg_replace('/[^\w.\-]+/', '-', $document->title()).'.pdf';
        try {
            return $this->outbox->begin($addresses, $subject, $by)
                ->text(trim($text) === '' ? "Please find attached: {$document->title()}.\n\n".Office::current()->name : $text)
                ->attach($this->paper->pdf($document), $name, 'application/pdf')
                ->toString();
        } catch (ExceptionInterface) {
            throw ValidationException::withMessages([
                'to' => 'One of these addresses is written in a way that email from here cannot reach: '.
                    implode(', ', $addresses).
                    '. Type another.',
            ]);
        }
    }
}
