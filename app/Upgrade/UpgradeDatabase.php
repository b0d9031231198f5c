<?php

declare(strict_types=1);

namespace App\Upgrade;

use App\Actions\Office\MakeBackup;
use App\Actions\Office\RebuildProjections;
use App\Models\Office;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Brings a database to this version: a backup, the migrations, then the projections. Killed at any step, it goes on at the next start. */
final readonly class UpgradeDatabase
{
    public function __construct(private Migrator $migrator, private MakeBackup $backup, private RebuildProjections $rebuild)
    {
    }

    /**
     * @param \Closure(string): void $say one sentence for each step
     *
     * @throws NewerDatabase|CarryOverRefused|\RuntimeException nothing is changed then
     */
    public function handle(\Closure $say): void
    {
        $this->refuseNewer();
        $pending = array_diff(ReleasedMigrations::all(), $this->ran());
        $isInUse = Schema::hasTable('offices') && DB::table('offices')->exists();
        if ($isInUse && $pending !== []) {
            $say('Backing up the database before the upgrade to version '.Version::CURRENT.' …');
            $say('Backup: '.$this->backup->beforeUpgrade());
        }
        if ($pending !== []) {
            $say($isInUse ? 'Upgrading the database …' : 'Creating the database …');
            $this->migrator->getRepository()->repositoryExists() || $this->migrator->getRepository()->createRepository();
            $this->migrator->run([database_path('migrations')]);
        }
        $this->rebuildOnce($say);
    }

    /** @throws NewerDatabase */
    private function refuseNewer(): void
    {
        if (Schema::hasTable('upgrades')) {
            foreach (DB::table('upgrades')->pluck('version') as $version) {
                if (is_string($version) && Version::isNewer($version)) {
                    throw NewerDatabase::of($version);
                }
            }
        }
        $unknown = array_filter(
            array_diff($this->ran(), ReleasedMigrations::all()),
            fn (string $name) => $name >= ReleasedMigrations::FIRST_KEPT,
        );
        if ($unknown !== []) {
            throw NewerDatabase::of('(a later version)');
        }
    }

    /** @return array<string> */
    private function ran(): array
    {
        $repository = $this->migrator->getRepository();

        return $repository->repositoryExists() ? $repository->getRan() : [];
    }

    /** Once for each version, and again where that was interrupted. */
    private function rebuildOnce(\Closure $say): void
    {
        $known = DB::table('upgrades')->where('version', Version::CURRENT);
        if ((clone $known)->whereNotNull('rebuilt_at')->exists()) {
            return;
        }
        DB::table('upgrades')->insertOrIgnore(['version' => Version::CURRENT, 'at' => now()]);
        if (Office::query()->exists()) {
            $say('Rebuilding balances and the search index …');
            $this->rebuild->handle();
        }
        $known->update(['rebuilt_at' => now()]);
    }
}
