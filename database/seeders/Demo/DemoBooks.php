<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Models\Party;
use App\Models\User;

/** Fills the books of the demo office. Everything is made up. */
final readonly class DemoBooks
{
    public function __construct(private DemoSettings $settings, private DemoSides $sides, private DemoDocuments $documents)
    {
    }

    /**
     * @param array<string, Party> $parties by the name in DemoRecords
     * @param list<User> $users
     */
    public function seed(array $parties, array $users): void
    {
        $this->settings->seed();
        $this->sides->seed($parties, $users);
        $this->documents->seed($parties, $users);
    }
}
