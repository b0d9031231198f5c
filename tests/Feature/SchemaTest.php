<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ContactPoint;
use App\Models\Model;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What the tables promise: keys that are followed by an index, names that say what is in a column, rows for what stands in lists. */
final class SchemaTest extends TestCase
{
    public function test_every_foreign_key_is_led_by_an_index_but_who_did_it(): void
    {
        $bare = [];
        foreach ($this->tables() as $table) {
            $led = array_map(
                fn (\stdClass $index) => DB::select("pragma index_info('$index->name')")[0]->name,
                DB::select("pragma index_list('$table')"),
            );
            foreach (DB::select("pragma table_info('$table')") as $column) {
                $led = $column->pk === 1 ? [...$led, $column->name] : $led;
            }
            foreach (DB::select("pragma foreign_key_list('$table')") as $key) {
                // Users are retired and never deleted, roles are as they are.
                if (! in_array($key->table, ['users'], true) && ! in_array($key->from, $led, true)) {
                    $bare[] = "$table.$key->from";
                }
            }
        }
        $this->assertSame([], $bare);
    }

    public function test_a_column_is_given_out_by_a_cast_and_never_by_an_accessor(): void
    {
        $models = 0;
        foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
            $class = 'App\\Models\\'.basename($file, '.php');
            if (is_subclass_of($class, Model::class) && ! (new \ReflectionClass($class))->isAbstract()) {
                $models++;
                $this->assertSame([], (new $class)->getMutatedAttributes(), $class);
            }
        }
        $this->assertGreaterThan(30, $models);
    }

    public function test_a_day_ends_in_on_and_money_in_minor(): void
    {
        $wrong = [];
        foreach ($this->tables() as $table) {
            foreach (DB::select("pragma table_info('$table')") as $column) {
                $isDay = strtolower((string) $column->type) === 'date';
                if (
                    $isDay !== (str_ends_with($column->name, '_on') && $column->name !== 'born_on')
                    && ! $this->isEndOfPeriod($column->name)
                ) {
                    $wrong[] = "$table.$column->name";
                }
                if (preg_match('/^(amount|total|net|tax|open|limit|receivable|payable|overdue|unallocated)$/', $column->name) === 1
                    && strtolower((string) $column->type) === 'integer' && ! str_starts_with($table, 'jobs')) {
                    $wrong[] = "$table.$column->name";
                }
            }
        }
        $this->assertSame([], $wrong);
    }

    public function test_what_stands_in_a_list_stands_in_rows_too_and_goes_with_its_own(): void
    {
        $this->asAdministrator();
        $party = $this->addCompany('Brass');
        $email = $this->contact('email', 'a@brass.example', ['uses' => ['invoices', 'statements'], 'isPrimary' => true]);
        $this->saveSection($party, 'reach', ['contactPoints' => [$email]])->assertOk();
        $point = ContactPoint::query()->where('party_id', $party->id)->firstOrFail();
        $uses = fn () => DB::table('contact_point_uses')->where('contact_point_id', $point->id)->orderBy('use')->pluck('use')->all();
        $this->assertSame(['invoices', 'statements'], $uses());
        $email = ['id' => $point->id, 'uses' => ['orders']] + $email;
        $this->saveSection($party, 'reach', ['contactPoints' => [$email]], 1)->assertOk();
        $this->assertSame(['orders'], $uses());
        $this->saveSection($party, 'addresses', ['addresses' => [$this->address(['uses' => ['postal', 'billing'], 'isPrimary' => true])]])
            ->assertOk();
        $this->assertSame(['billing', 'postal'], DB::table('address_use_purposes')->orderBy('purpose')->pluck('purpose')->all());
        ContactPoint::query()->whereKey($point->id)->delete();
        $this->assertSame([], $uses());
    }

    /** Periods have the same two words everywhere. */
    private function isEndOfPeriod(string $column): bool
    {
        return in_array($column, ['since', 'until', 'valid_until', 'discount_until'], true);
    }
}
