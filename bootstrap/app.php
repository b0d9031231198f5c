<?php

declare(strict_types=1);

use Almanac\Ledger\StaleDocument;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\StaleSave;
use Almanac\Refusal;
use App\Actions\Records\StaleSection;
use App\Http\Middleware\LimitBody;
use App\Http\Middleware\OneAct;
use App\Http\Middleware\OutsideFirst;
use App\Http\Middleware\Permitted;
use App\Http\Middleware\PlainQuery;
use App\Http\Middleware\Proved;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Problems\MadeOne;
use App\Http\Problems\ProblemRenderer;
use App\Http\Problems\SecondFactorMissing;
use Bench\BenchCommand;
use Bench\GoingOutCommand;
use Bench\ImportCommand;
use Bench\ImportPeopleCommand;
use Bench\ScanCommand;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Routing\Middleware\SubstituteBindings;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
    )
    // The bench is no part of what an office installs.
    ->withCommands([
        __DIR__.'/../app/Console',
        ...(class_exists(BenchCommand::class) ? [BenchCommand::class, GoingOutCommand::class, ImportCommand::class, ImportPeopleCommand::class, ScanCommand::class] : []),
    ])
    ->withMiddleware(function (Middleware $middleware): void {
        // The addresses of proxies before this server, whose word counts for where a request came from: ALMANAC_TRUSTED_PROXIES.
        $middleware->trustProxies(at: array_values(array_filter(explode(',', (string) getenv('ALMANAC_TRUSTED_PROXIES')))));
        $middleware->statefulApi();
        // What was left empty stays empty text; null means that nothing was chosen.
        $middleware->convertEmptyStringsToNull(except: [fn () => true]);
        $middleware->append(SecurityHeaders::class);
        $middleware->prependToGroup('api', PlainQuery::class);
        // Before anything reads it.
        $middleware->prepend(LimitBody::class);
        // What a write is about is read when it holds the lock, and not before.
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: OneAct::class);
        $middleware->alias(['can' => Permitted::class]);
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: Permitted::class);
        $middleware->prependToPriorityList(before: OneAct::class, prepend: OutsideFirst::class);
        $middleware->prependToPriorityList(before: OneAct::class, prepend: Proved::class);
        $middleware->redirectGuestsTo(fn () => null);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password', 'password_confirmation', 'token']);
        // What somebody is told to do otherwise is no fault of the program.
        $exceptions->dontReport([Refusal::class, StaleSave::class, StaleSection::class, StaleDocument::class, ArchivedRecord::class, MadeOne::class, SecondFactorMissing::class]);
        $exceptions->render(new ProblemRenderer);
    })
    ->create();
