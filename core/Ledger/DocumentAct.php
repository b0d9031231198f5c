<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** What can be done with a document, and in which state it can. */
enum DocumentAct
{
    case Change;
    case Issue;
    case Send;
    case Settle;
    case Allocate;
    case Turn;
    case Credit;
    case Revise;
    case Void;

    public function isAllowed(DocumentKind $kind, DocumentState $state): bool
    {
        return $this->refusal($kind, $state) === null;
    }

    /** @throws LedgerRefused when it cannot be done in that state, saying what to do instead */
    public function mustBeAllowed(DocumentKind $kind, DocumentState $state): void
    {
        $refusal = $this->refusal($kind, $state);
        if ($refusal !== null) {
            throw LedgerRefused::notNow($refusal);
        }
    }

    private function refusal(DocumentKind $kind, DocumentState $state): ?string
    {
        $fits = match ($this) {
            self::Settle => $kind->isOwed(),
            self::Allocate => $kind->isCredit(),
            self::Turn => $kind->isPromise(),
            self::Credit => $kind->credit() !== null,
            self::Revise => $kind === DocumentKind::Quote,
            self::Send => ! $kind->isTheirs() && ! $kind->isOpening(),
            default => true,
        };
        if (! $fits) {
            return $this === self::Send ? "{$this->all($kind)} are not sent." : "That cannot be done with {$kind->withArticle()}.";
        }

        return match ($state) {
            DocumentState::Draft => $this->refusalOfDraft($kind),
            DocumentState::Staged => 'It is still being imported.',
            DocumentState::Void => 'It is void, and nothing more can be done with it.',
            default => $this->refusalOfIssued($kind, $state),
        };
    }

    private function refusalOfDraft(DocumentKind $kind): ?string
    {
        $first = $kind->isTheirs() ? 'Enter it' : 'Issue it';

        return match ($this) {
            self::Send => 'Issue it before sending it.',
            self::Settle => "$first first: a draft cannot be paid.",
            self::Allocate => "$first first: a draft cannot be used.",
            self::Turn, self::Credit => "$first first, then go on from it.",
            self::Revise => 'It is still a draft: change it.',
            default => null,
        };
    }

    private function refusalOfIssued(DocumentKind $kind, DocumentState $state): ?string
    {
        $isOpen = $state->isOpen();

        return match ($this) {
            self::Issue => $kind->isTheirs() ? 'It is entered already.' : 'It is issued already.',
            self::Change => match (true) {
                $kind === DocumentKind::Quote => 'It is issued, and can no longer be changed. Write a new revision of it.',
                $kind->credit() !== null => ($kind->isTheirs() ? 'It is entered' : 'It is issued').
                    ', and can no longer be changed. Void it, or write a credit note.',
                default => ($kind->isTheirs() ? 'It is entered' : 'It is issued').
                    ', and can no longer be changed. Void it, and write another.',
            },
            self::Settle => $isOpen ? null : 'It is settled: nothing of it is open.',
            self::Allocate => $isOpen ? null : 'All of it has been used.',
            self::Revise => $isOpen ? null : 'It has been accepted already. Copy it for another quote.',
            default => null,
        };
    }

    private function all(DocumentKind $kind): string
    {
        return $kind->isOpening() ? 'Opening balances' : ucfirst(mb_strtolower($kind->title())).'s';
    }
}
