<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Office;
use Database\Seeders\Demo\DemoOffice;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class DemoCommand extends Command
{
    protected $signature = 'almanac:demo';

    protected $description = 'Seed the demo office, unless it is there, and print its sign-ins';

    public function handle(DemoOffice $demo): int
    {
        if (! Office::query()->exists()) {
            DB::transaction(fn () => $demo->seed());
        }
        $elsewhere = (string) config('almanac.book_elsewhere');
        if ($elsewhere !== '') {
            Office::query()->sole()->update(['card_places' => $elsewhere]);
        }
        $this->line('Sign in to the demo office, Orrery & Vane, with the password '.DemoOffice::PASSWORD);
        foreach (DemoOffice::USERS as [$name, $email, $role]) {
            $this->line(sprintf('  %-30s %s, %s', $email, $name, $role->value));
        }

        return self::SUCCESS;
    }
}
