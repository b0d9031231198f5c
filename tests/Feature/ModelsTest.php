<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Model;
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
