<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Support\Facades\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What a request takes in is said once: the rules, the contract and the sample agree. */
final class ShapesTest extends TestCase
{
    /** @return iterable<string, array{Shape}> */
    public static function shapes(): iterable
    {
        foreach (ShapedRequest::shapes() as $name => $shape) {
            yield $name => [$shape];
        }
    }

    #[DataProvider('shapes')]
    public function test_its_sample_passes_and_nothing_of_it_may_be_left_out(Shape $shape): void
    {
        $sample = array_diff_key($shape->sample(), ['file' => true]);
        $rules = array_diff_key($shape->rules(given: $sample), ['file' => true]);
        $this->assertSame([], Validator::make($sample, $rules)->errors()->all());
        foreach ($shape->schema()->required as $name) {
            if ($name !== 'file') {
                $without = array_diff_key($sample, [$name => true]);
                $this->assertTrue(Validator::make($without, $rules)->errors()->has($name), "$shape->name without $name");
            }
        }
        foreach (array_keys($sample) as $name) {
            foreach ([['' => 1], 1.5] as $junk) {
                $this->assertTrue(
                    Validator::make([...$sample, $name => $junk], $rules)->fails() || $name === 'follow',
                    "$shape->name with junk at $name",
                );
            }
        }
    }

    #[DataProvider('shapes')]
    public function test_the_contract_has_it(Shape $shape): void
    {
        $schemas = json_decode((string) file_get_contents(base_path('docs/openapi.json')), true)['components']['schemas'];
        foreach ($shape->all() as $name => $part) {
            $this->assertSame(array_keys($part->inputs), array_keys($schemas[$name]['properties']), $name);
            $this->assertSame($part->schema()->required, $schemas[$name]['required'] ?? [], $name);
        }
    }

    #[TestWith(['documents?page=&partyId=&side=&kind=&state=&bucket=&currency=&from=&to=&q=&format='])]
    #[TestWith(['payments?page=&partyId=&side=&state=&from=&to='])]
    #[TestWith(['known/phones?typed=&exceptId='])]
    public function test_what_an_address_leaves_empty_is_not_asked_for(string $path): void
    {
        $this->asAdministrator()->getJson("/api/$path")->assertOk();
    }

    /** What JSON may hold and Laravel's own rules let pass: an empty text for a number, a flag, a list. */
    public function test_an_empty_text_is_no_number_no_flag_and_no_list(): void
    {
        $shape = Shape::named('Any', [
            'id' => Input::id(),
            'idOrNull' => Input::id()->orNull(),
            'maybeId' => Input::id()->optional(),
            'flag' => Input::flag(),
            'flagOrNull' => Input::flag()->orNull(),
            'maybeFlag' => Input::flag()->optional(),
            'list' => Input::listOf(Input::text(), 3),
            'listOrNull' => Input::listOf(Input::text(), 3)->orNull(),
            'part' => Input::of(Shape::named('Part', ['id' => Input::id()]))->orNull()->optional(),
        ]);
        foreach (['', '7', 1.5] as $junk) {
            $errors = Validator::make(array_map(fn () => $junk, $shape->sample()), $shape->rules(given: ['part' => $junk]))->errors();
            $places = array_unique(array_map(fn (string $key) => explode('.', $key)[0], $errors->keys()));
            $this->assertSame(array_keys($shape->inputs), array_values($places));
        }
        $this->assertSame([], Validator::make($shape->sample(), $shape->rules(given: $shape->sample()))->errors()->all());
        $this->assertTrue(Validator::make(
            ['list' => ['a', 'b', 'c', 'd']] + $shape->sample(),
            $shape->rules(given: $shape->sample()),
        )->errors()->has('list'));
    }
}
