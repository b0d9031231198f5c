<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Model;
use Illuminate\Database\Eloquent\Model as Eloquent;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The short ways that our models take give what Eloquent gives. */
final class ModelsTest extends TestCase
{
    private const ROWS = 5;

    public function test_what_is_read_from_a_row_is_what_eloquent_reads(): void
    {
        $this->demo();
        $columns = 0;
        foreach ($this->models() as $model) {
            foreach ($model->newQuery()->withoutGlobalScopes()->limit(self::ROWS)->get() as $row) {
                $eloquent = $row->newFromBuilder($row->getAttributes());
                foreach (array_keys($row->getAttributes()) as $column) {
                    $expected = $eloquent->getAttributeValue($column);
                    // Once as it is read, and once as it was kept.
                    foreach ([$row->getAttribute($column), $row->getAttribute($column)] as $read) {
                        $this->assertSame(get_debug_type($expected), get_debug_type($read), $model::class.'.'.$column);
                        $this->assertEquals($expected, $read, $model::class.'.'.$column);
                    }
                    $columns++;
                }
            }
        }
        $this->assertGreaterThan(1000, $columns);
    }

    public function test_what_is_set_is_kept_as_eloquent_keeps_it(): void
    {
        $this->demo();
        $eloquent = new \ReflectionMethod(Eloquent::class, 'setAttribute');
        $set = 0;
        foreach ($this->models() as $model) {
            foreach ($model->newQuery()->withoutGlobalScopes()->limit(self::ROWS)->get() as $row) {
                [$ours, $eloquents] = [$model->newInstance(), $model->newInstance()];
                // What a class of ours casts is left to it.
                $columns = array_filter(array_keys($row->getAttributes()), function (string $column) use ($row): bool {
                    $cast = explode(':', $row->getCasts()[$column] ?? '')[0];

                    return enum_exists($cast) || ! class_exists($cast);
                });
                $values = array_map($row->getAttributeValue(...), array_combine($columns, $columns));
                $ours->fill($values);
                foreach ($values as $column => $value) {
                    $eloquent->invoke($eloquents, $column, $value);
                    // What is encrypted is another each time.
                    $kept = fn (Model $one) => $one->hasCast($column, ['encrypted', 'encrypted:array']) ? $one->getAttribute($column) : $one->getAttributes()[$column];
                    $this->assertSame($kept($eloquents), $kept($ours), $model::class.'.'.$column);
                    $set++;
                }
            }
        }
        $this->assertGreaterThan(1000, $set);
    }

    public function test_every_model_has_its_own_table(): void
    {
        $tables = DB::table('sqlite_master')->where('type', 'table')->pluck('name')->all();
        $taken = [];
        foreach ($this->models() as $model) {
            $this->assertContains($model->getTable(), $tables, $model::class);
            $this->assertArrayNotHasKey($model->getTable(), $taken);
            $taken[$model->getTable()] = true;
        }
    }

    /** @return iterable<Model> one of each, not kept */
    private function models(): iterable
    {
        foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
            $class = 'App\\Models\\'.basename($file, '.php');
            if (is_subclass_of($class, Model::class) && ! (new \ReflectionClass($class))->isAbstract()) {
                yield new $class;
            }
        }
    }
}
