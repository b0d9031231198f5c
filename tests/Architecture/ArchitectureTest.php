<?php

declare(strict_types=1);

namespace Tests\Architecture;

use App\Queries\Ledger\PreviewDocument;
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
                Selector::inNamespace('App\Facts'),
                Selector::inNamespace('App\Papers'),
                Selector::inNamespace('App\Time'),
                Selector::inNamespace('App\Validation'),
                Selector::inNamespace('App\Acts'),
            )
            ->because('a model stores; who uses it is not its business');
    }

    public function testFactsAreReadFromModelsAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Facts'), Selector::inNamespace('App\Register'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'))
            ->because('both what changes the book and what reads it stand on them');
    }

    public function testQueriesChangeNothing(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Queries'))
            ->excluding(Selector::classname(PreviewDocument::class))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Actions'))
            ->because('a query reads; a preview writes a document and takes it back');
    }

    public function testActionsAnswerNoRequests(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Actions'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App\Http'),
                Selector::inNamespace('App\Queries'),
                Selector::inNamespace('Illuminate\Http\Request'),
            )
            ->because('scripts and imports use actions too; what both change and read stand on are the facts');
    }

    public function testPapersAreDrawnFromTheBooks(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Papers'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'))
            ->because('a paper is the same whoever asks for it');
    }

    public function testTermsKnowNoLedger(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Almanac\Terms'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Almanac\Ledger'))
            ->because('documents are due by terms, and terms know no documents');
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
