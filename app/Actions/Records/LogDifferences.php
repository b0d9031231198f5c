<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\Fact;
use App\Actions\Finding\IndexParties;
use App\Models\Party;
use App\Models\User;
use App\Support\SectionVersions;

/** Makes a change that touches sections of several records, and tells each of them what became different. Runs inside a transaction. */
final readonly class LogDifferences
{
    public function __construct(private LogChanges $log, private IndexParties $index)
    {
    }

    /**
     * @param list<array{Section, Party}> $touched
     * @param \Closure(): void $change
     */
    public function around(array $touched, User $by, \Closure $change): void
    {
        $before = array_map($this->snapshot(...), $touched);
        $change();
        foreach ($touched as $at => [$section, $party]) {
            $differences = Difference::between($before[$at], $this->snapshot([$section, $party]));
            if ($differences !== []) {
                $this->log->handle($party, $section->name(), $differences, $by);
                SectionVersions::advance($party, $section->name());
            }
        }
        foreach ($touched as [, $party]) {
            $this->index->withNeighbours($party);
        }
    }

    /**
     * @param array{Section, Party} $one
     *
     * @return array<string, Fact>
     */
    private function snapshot(array $one): array
    {
        [$section, $party] = $one;
        $party->unsetRelations();

        return $section->snapshot($party);
    }
}
