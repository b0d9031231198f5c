<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\Fact;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Models\Change;
use App\Models\Party;
use App\Models\User;
use App\Support\Ancestors;
use App\Support\ArchivedRecord;
use App\Support\Clock;
use App\Support\SectionName;
use App\Support\SectionVersions;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Saves one section of a record: all of it or nothing, never over somebody else's change, and logged. */
final readonly class SaveSection
{
    public function __construct(private IndexParties $index, private LogChanges $log, private KeepBankDetails $bank, private KeepStandings $standings, private Clock $clock)
    {
    }

    /**
     * @param array<string, mixed> $input
     * @param int $version the version that the person who saves has seen
     *
     * @throws ArchivedRecord when the record is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when the core refuses a value
     */
    public function handle(Section $section, Party $party, array $input, int $version, User $by): void
    {
        DB::transaction(function () use ($section, $party, $input, $version, $by): void {
            $party->refresh();
            $party->assertInUse();
            $kept = SectionVersions::of($party, $section->name());
            $before = $this->snapshots($section, [$party, ...$section->neighbours($party)]);

            $section->write($party, $input);
            $party->unsetRelations();
            if ($party->is_vendor && $party->wasChanged('payee_name')) {
                $this->bank->holdPayee($party, $party->payee(), $by);
            }

            if ($kept !== $version) {
                throw $this->stale($section, $party, $before[$party->id][1], $kept);
            }
            $after = $this->snapshots($section, [$party, ...$section->neighbours($party)]);
            // A record that the change took out of sight still has to say so in its own log.
            $gone = array_map(fn (array $pair) => $pair[0], array_diff_key($before, $after));
            $this->recordDifferences($section, $party, $before, $after + $this->snapshots($section, $gone), $by);
            $heirs = $this->heirs($section->name(), $party, array_keys($before + $after));
            if ($heirs !== []) {
                // The credit limit, and whether there are terms, may be others.
                $this->standings->refresh(...$heirs);
            }
            $this->index->withNeighbours($party, [...array_keys($before), ...$heirs]);
        });
        $party->refresh();
    }

    /**
     * Those for whom other terms may hold now: the party itself, and the companies that inherit from it.
     *
     * @param list<int> $seen who was, or is now, related to it in this section
     *
     * @return list<int>
     */
    private function heirs(SectionName $section, Party $party, array $seen): array
    {
        $from = match ($section) {
            SectionName::ClientTerms, SectionName::VendorTerms => [$party->id],
            SectionName::Relations => $seen,
            default => [],
        };

        return $from === [] ? [] : [...$from, ...Ancestors::below($from, $this->clock->today())];
    }

    /**
     * @param array<Party> $parties
     *
     * @return array<int, array{Party, array<string, Fact>}>
     */
    private function snapshots(Section $section, array $parties): array
    {
        $snapshots = [];
        foreach ($parties as $party) {
            $party->unsetRelations();
            $snapshots[$party->id] ??= [$party, $section->snapshot($party)];
        }

        return $snapshots;
    }

    /**
     * @param array<int, array{Party, array<string, Fact>}> $before
     * @param array<int, array{Party, array<string, Fact>}> $after
     */
    private function recordDifferences(Section $section, Party $party, array $before, array $after, User $by): void
    {
        $added = array_diff_key($after[$party->id][1], $before[$party->id][1]);
        foreach ($after as $id => [$touched, $facts]) {
            // A neighbour that only now came into sight had all but what was just added.
            $differences = Difference::between($before[$id][1] ?? array_diff_key($facts, $added), $facts);
            if ($differences !== []) {
                $this->log->handle($touched, $section->name(), $differences, $by);
                SectionVersions::advance($touched, $section->name());
            }
        }
    }

    /** @param  array<string, Fact>  $theirs */
    private function stale(Section $section, Party $party, array $theirs, int $kept): StaleSection
    {
        $last = Change::query()->with('user')
            ->where('party_id', $party->id)
            ->where('section', $section->name()->value)
            ->latest('id')->first();

        return new StaleSection(
            $section->name(),
            Difference::between($theirs, $section->snapshot($party)),
            $kept,
            $last?->user->name,
            $last?->at,
        );
    }
}
