<?php

declare(strict_types=1);

namespace Tests\Architecture;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The rules of the house about who may know whom, checked by the static analysis. */
final class ArchitectureTest
{
    public function testCoreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Almanac'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Almanac'),
                Selector::inNamespace('Brick\Math'),
                Selector::inNamespace('Symfony\Component\Intl'),
                Selector::inNamespace('libphonenumber'),
                Selector::inNamespace('Egulias\EmailValidator'),
                Selector::inNamespace('Symfony\Component\Validator'),
                Selector::inNamespace('Sabre\VObject'),
                Selector::isStandardClass(),
                Selector::classname('/^(Normalizer|Transliterator)$/', true),
            )
            ->because('the rules of the job are tested on their own and outlive any framework');
    }

    public function testControllersLeaveQueriesToOthers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http\Controllers'))
            ->shouldNotDependOn()
            ->classes(
                Selector::classname(DB::class),
                Selector::inNamespace('Illuminate\Database\Query'),
                Selector::inNamespace('Illuminate\Database\Eloquent'),
            )
            ->because('a request goes from controller to action or query');
    }

    public function testModelsKnowNothingAboveThem(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App\Http'),
                Selector::inNamespace('App\Actions'),
                Selector::inNamespace('App\Queries'),
            )
            ->because('a model stores; who uses it is not its business');
    }

    public function testActionsAnswerNoRequests(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Actions'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('Illuminate\Http\Request'))
            ->because('scripts and imports use actions too');
    }

    public function testDataObjectsAreFinal(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http\Data'))
            ->shouldBeFinal()
            ->because('a data object is a value');
    }

    public function testNothingButModelsIsAModel(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::extends(Model::class))
            ->excluding(Selector::inNamespace('App\Models'))
            ->shouldNotExist()
            ->because('models are found in one place');
    }
}
