<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentState;
use Almanac\Terms\Side;
use App\Database\DryRun;
use App\Facts\Ledger\PartyCopy;
use App\Facts\Terms\DocumentTerms;
use App\Facts\Terms\SideDefaults;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\TouchedDocumentData;
use App\Http\Data\Ledger\TouchedDocumentsData;
use App\Models\Document;
use App\Models\Party;
use App\Time\Clock;

/** Says which drafts and open documents would carry old details after a change of a record. */
final readonly class ListTouched
{
    private const TERMS = 'terms';

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param list<Party> $parties whose documents are looked through
     * @param \Closure(): mixed $change is made, looked at, and taken back
     */
    public function handle(array $parties, \Closure $change): TouchedDocumentsData
    {
        $today = $this->clock->today();
        $before = array_map(fn (Party $party) => self::details($party, $today), $parties);
        $after = DryRun::of(function () use ($parties, $change, $today): array {
            $change();

            return array_map(fn (Party $party) => self::details(Party::query()->findOrFail($party->id), $today), $parties);
        });
        $touched = [];
        foreach ($parties as $at => $party) {
            $touched = [...$touched, ...self::touchedOf($party, $before[$at], $after[$at], $today)];
        }

        return new TouchedDocumentsData($this->sentence($touched), $touched);
    }

    /**
     * @param array<string, array<string, mixed>> $before by side
     * @param array<string, array<string, mixed>> $after
     *
     * @return list<TouchedDocumentData>
     */
    private static function touchedOf(Party $party, array $before, array $after, Day $today): array
    {
        $touched = [];
        foreach (
            $party
                ->documents()
                ->where(fn ($live) => $live->where('state', DocumentState::Draft)->orWhere(fn ($open) => $open->open()))
                ->orderBy('dated_on')
                ->get() as $document
        ) {
            $what = self::whatIsOld($document, $before[$document->kind->side()->value], $after[$document->kind->side()->value]);
            if ($what !== []) {
                $touched[] = new TouchedDocumentData(
                    DocumentRowData::of($document->setRelation('party', $party), $today),
                    implode(', ', $what),
                );
            }
        }

        return $touched;
    }

    /** @return array<string, array<string, mixed>> by side */
    private static function details(Party $party, Day $today): array
    {
        $details = [];
        foreach (Side::cases() as $side) {
            $details[$side->value] = PartyCopy::of($party, $side, $today) + [
                self::TERMS => SideDefaults::of($party, $side, $today)->shorthand(),
            ];
        }

        return $details;
    }

    /**
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     *
     * @return list<string>
     */
    private static function whatIsOld(Document $document, array $before, array $after): array
    {
        $what = [];
        foreach (PartyCopy::TITLES as $key => $title) {
            if ($before[$key] !== $after[$key] && $document->copy[$key] !== $after[$key]) {
                $what[] = $title;
            }
        }
        // Terms of its own are left alone, and so are those of its case.
        if (
            $before[self::TERMS] !== $after[self::TERMS] &&
            $document->terms === $before[self::TERMS] &&
            $document->terms !== '' &&
            DocumentTerms::ofCase($document) === ''
        ) {
            $what[] = self::TERMS;
        }

        return $what;
    }

    /** @param  list<TouchedDocumentData>  $touched */
    private function sentence(array $touched): string
    {
        if ($touched === []) {
            return '';
        }
        $counts = [];
        $what = [];
        foreach ($touched as $one) {
            $name = $one->row->state === DocumentState::Draft->value ? 'draft' : 'open '.mb_strtolower($one->row->kindTitle);
            $counts[$name] = ($counts[$name] ?? 0) + 1;
            $what = [...$what, ...explode(', ', $one->what)];
        }
        $parts = array_map(fn (string $name, int $count) => $count.' '.$name.($count === 1 ? '' : 's'), array_keys($counts), $counts);
        $what = array_values(array_unique($what));

        return implode(' and ', array_filter([implode(', ', array_slice($parts, 0, -1)), end($parts)])).
            (count($touched) === 1 ? ' shows' : ' show').
            ' the old '.
            implode(' and ', array_filter([implode(', ', array_slice($what, 0, -1)), end($what)])).
            '.';
    }
}
