<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use Almanac\LookAlikes\LineKind;
use Almanac\LookAlikes\LookAlikesRefused;
use Almanac\Records\Wording;
use App\Actions\Finding\IndexParties;
use App\Background\IndexLine;
use App\Database\LongWork;
use App\Facts\LookAlikes\SharedThing;
use App\Models\Party;
use App\Models\SharedLine;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Names a phone, an email or an address that different people rightly share; it is no reason any more to take two of them for one. */
final readonly class KeepSharedLines
{
    private const LONGEST = 80;

    /** So many are compared at once; of more the worker does it. */
    private const FEW = 30;

    public function __construct(private IndexParties $index, private KeepPairs $pairs, private Clock $clock)
    {
    }

    /** @throws LookAlikesRefused when nobody shares it, or it has a name already */
    public function name(LineKind $kind, string $value, string $name, User $by): SharedLine
    {
        $name = self::words($name);

        return DB::transaction(function () use ($kind, $value, $name, $by): SharedLine {
            $known = SharedLine::query()->where('value', $value)->first();
            if ($known instanceof SharedLine) {
                throw LookAlikesRefused::isNamed($known->name);
            }
            if (count(SharedThing::holders($value)) < 2) {
                throw LookAlikesRefused::isNotShared();
            }
            $line = SharedLine::query()->create([
                'kind' => $kind, 'value' => $value, 'name' => $name, 'user_id' => $by->id, 'created_at' => $this->clock->now(),
            ]);
            $this->tellHolders($value);

            return $line;
        });
    }

    public function rename(SharedLine $line, string $name): void
    {
        $name = self::words($name);
        DB::transaction(function () use ($line, $name): void {
            $line->update(['name' => $name]);
            $this->tellHolders($line->value);
        });
    }

    /** It is asked about again. */
    public function forget(SharedLine $line): void
    {
        DB::transaction(function () use ($line): void {
            $line->delete();
            $this->tellHolders($line->value);
        });
    }

    private static function words(string $name): string
    {
        return Wording::line($name, self::LONGEST, 'Give it a name, such as “Larkin household” or “Front desk, Harborlight”.');
    }

    /** They are found by its name: a few at a time, each few a transaction of its own. */
    public function indexHolders(string $value): void
    {
        foreach (array_chunk(SharedThing::holders($value), self::FEW) as $some) {
            LongWork::step(fn () => $this->index->these($some));
        }
    }

    /** They are found by its name, and compared without it. */
    private function tellHolders(string $value): void
    {
        $ids = SharedThing::holders($value);
        $some = array_slice($ids, 0, self::FEW);
        $this->index->these($some);
        foreach (Party::query()->findMany($some) as $party) {
            $this->pairs->of($party);
        }
        if (count($ids) > self::FEW) {
            DB::table('look_alike_due')->insertOrIgnore(array_map(fn (int $id) => ['party_id' => $id], array_slice($ids, self::FEW)));
            IndexLine::dispatch($value);
        }
    }
}
