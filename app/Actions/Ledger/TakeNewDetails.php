<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Dues;
use Almanac\Terms\Shorthand;
use App\Facts\Ledger\PartyCopy;
use App\Facts\Terms\DocumentTerms;
use App\Facts\Terms\SideDefaults;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use App\Time\OfficeCalendar;
use Illuminate\Support\Facades\DB;

/** Lets drafts and open documents carry the details of a record as they are now. What is settled keeps what was sent. */
final readonly class TakeNewDetails
{
    public function __construct(private Clock $clock, private NoteEvent $note, private KeepStandings $standings)
    {
    }

    /**
     * @param list<int> $documentIds
     * @param bool $withTerms whether they are due as the record's terms have it now, but for those of a case with terms of its own
     */
    public function handle(Party $party, array $documentIds, bool $withTerms, User $by): void
    {
        DB::transaction(function () use ($party, $documentIds, $withTerms, $by): void {
            $today = $this->clock->today();
            $party = Party::query()->findOrFail($party->id);
            foreach ($party->documents()->whereKey($documentIds)->with('dues')->get() as $document) {
                if ($document->state !== DocumentState::Draft && ! $document->state->isOpen()) {
                    continue;
                }
                $side = $document->kind->side();
                $copy = PartyCopy::of($party, $side, $today);
                $changed = array_values(
                    array_filter(array_keys(PartyCopy::TITLES), fn (string $key) => $copy[$key] !== $document->copy[$key]),
                );
                $document->copy = $copy;
                $moved = $withTerms && DocumentTerms::ofCase($document) === ''
                    ? $this->setTerms($document, SideDefaults::of($party, $side, $today)->shorthand())
                    : '';
                if ($changed === [] && $moved === '') {
                    continue;
                }
                $document->version++;
                $document->saveWithDues();
                $this->note->handle(
                    $document,
                    trim(
                        ($document->state === DocumentState::Draft ? 'takes' : 'reissued with').
                            ' the new '.
                            implode(', ', array_map(fn (string $key) => PartyCopy::TITLES[$key], $changed)).
                            ($changed === [] ? 'terms' : '').
                            ($moved === '' ? '' : '; '.$moved),
                    ),
                    $by,
                );
            }
            $this->standings->refresh($party->id);
        });
    }

    private function setTerms(Document $document, string $terms): string
    {
        if (! $document->kind->isOwed() || $terms === '' || $terms === $document->terms) {
            return '';
        }
        $before = $document->due_on;
        $document->setDues(
            Dues::of(
                $document->kind,
                $document->total(),
                $document->dated_on,
                null,
                Shorthand::read($terms),
                OfficeCalendar::of(Office::current()),
            ),
        );
        if ($document->state !== DocumentState::Draft) {
            $document->setOpen($document->open(), $document->dated_on);
        }

        return 'due '.$document->due_on?->toText().' rather than '.$before?->toText();
    }
}
