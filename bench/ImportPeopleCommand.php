<?php

declare(strict_types=1);

namespace Bench;

use Almanac\Interchange\FileKind;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\LineOutcome;
use App\Actions\Interchange\RunImport;
use App\Models\Import;
use App\Models\ImportSettings;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/** Imports many people and companies in a process of its own, as an office does, and says how long it took and how much memory. */
final class ImportPeopleCommand extends Command
{
    protected $signature = 'almanac:bench-people {--lines=50000} {--take=} {--seed=13} {--day=}';

    protected $description = 'Time an import of people and companies';

    public function handle(RunImport $run): int
    {
        config(['almanac.today' => $this->option('day')]);
        Queue::fake();
        Storage::put('imports/people', $this->csv((int) $this->option('lines')));
        $import = Import::query()->create([
            'name' => 'people.csv', 'path' => 'imports/people', 'of' => Import::RECORDS, 'state' => ImportState::Reading,
            'settings' => new ImportSettings(format: FileKind::Csv), 'user_id' => User::query()->firstOrFail()->id,
        ]);
        $start = hrtime(true);
        $run->handle($import->refresh());
        $import->refresh()->update(['state' => ImportState::Checking]);
        $read = hrtime(true);
        $run->handle($import->refresh());
        $checked = hrtime(true);
        $outcomes = DB::table('import_lines')
            ->where('import_id', $import->id)->groupBy('outcome')->selectRaw('outcome, count(*) as n')
            ->pluck('n', 'outcome')->all();
        if ($this->option('take') !== null) {
            DB::table('import_lines')
                ->where('import_id', $import->id)->where('line', '>', (int) $this->option('take'))
                ->update(['outcome' => LineOutcome::LeftOut->value]);
        }
        $run->begin($import->refresh());
        $run->handle($import->refresh());
        $this->line(sprintf(
            'read in %.1f s, checked and matched in %.1f s, taken in %.1f s (%d lines); %s; %.0f MB at the most',
            ($read - $start) / 1e9,
            ($checked - $read) / 1e9,
            (hrtime(true) - $checked) / 1e9,
            $import->refresh()->taken,
            json_encode($outcomes),
            memory_get_peak_usage(true) / 1048576,
        ));

        return self::SUCCESS;
    }

    /** A seventh of them is in the book already, a tenth are companies. */
    private function csv(int $lines): string
    {
        mt_srand((int) $this->option('seed'));
        $csv = "First name,Last name,Company,Job title,Phone,Mobile,Email,Street,City,State,Zip,Tags,Terms,Customer number\n";
        $known = DB::table('parties')
            ->join('contact_points', 'contact_points.party_id', '=', 'parties.id')->where('parties.kind', 'person')
            ->where('contact_points.kind', 'email')
            ->whereNull('archived_on')->inRandomOrder()->limit((int) ($lines / 7))->get(['given', 'family', 'value']);
        $firms = array_map(fn () => Names::companyWord().' '.Names::companyWord().' Imports', range(1, max(1, intdiv($lines, 6))));
        for ($n = 1; $n <= $lines; $n++) {
            $old = $n % 7 === 0 ? $known[intdiv($n, 7) - 1] ?? null : null;
            [$given, $family] = $old === null ? [Names::given(), Names::family()] : [(string) $old->given, (string) $old->family];
            $isFirm = $n % 10 === 0 && $old === null;
            $csv .= implode(',', [
                $isFirm ? '' : $given, $isFirm ? '' : $family, $firms[mt_rand(0, count($firms) - 1)], $isFirm ? '' : 'Clerk',
                sprintf('802-555-%04d', mt_rand(0, 9999)),
                $n % 3 === 0 ? sprintf('802-%03d-%04d', mt_rand(200, 999), mt_rand(0, 9999)) : '',
                $old === null ? mb_strtolower("$given.$family.$n@imported.example") : (string) $old->value,
                mt_rand(1, 900).' Main Street', 'Brattleboro', 'VT', '05301',
                $n % 5 === 0 ? 'fair' : '', $n % 4 === 0 ? 'net 30' : '', "K$n",
            ])."\n";
        }

        return $csv;
    }
}
