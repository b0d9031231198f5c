<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Lists\ListOf;
use App\Actions\Bulk\BeginBulkChange;
use App\Actions\Bulk\RunBulkChange;
use App\Actions\Lists\KeepSavedLists;
use App\Facts\Lists\Chosen;
use App\Models\User;
use App\Time\Clock;

/** Lists under names of the demo office, and one change that was made to many. */
final readonly class DemoLists
{
    use TellsDaysAgo;

    private const CHANGED_DAYS_AGO = 24;

    public function __construct(
        private KeepSavedLists $keep,
        private BeginBulkChange $begin,
        private RunBulkChange $run,
        private Clock $clock,
    ) {
    }

    /** @param  list<User>  $users */
    public function seed(array $users): void
    {
        foreach (DemoNeighbours::LISTS as [$name, $sentence, $sort, $view, $countedBy]) {
            $this->keep->add(ListOf::Records, [
                'name' => $name, 'sentence' => $sentence, 'choices' => '', 'columns' => [], 'sort' => $sort, 'view' => $view,
                'countedBy' => $countedBy, 'period' => '', 'isShared' => true,
            ], $users[0]);
        }
        $change = $this->doneDaysAgo(self::CHANGED_DAYS_AGO, fn () => $this->begin->begin(
            new Chosen(true, 'clients tagged tower clocks', false, []),
            ['kind' => 'add-tags', 'values' => ['winter visits']],
            $users[0],
        ));
        $this->doneDaysAgo(self::CHANGED_DAYS_AGO, fn () => $this->run->handle($change));
    }
}
