<?php

declare(strict_types=1);

use App\Http\Controllers\CardDav\CardDavController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\Reminders\RemindersController;
use App\Http\Middleware\CardPassword;
use Illuminate\Http\RedirectResponse;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

// For monitors.
Route::get('/health', HealthController::class)->withoutMiddleware('web');

// For calendar programs, which cannot sign in: the address is the secret.
Route::get('/calendar/{secret}.ics', [RemindersController::class, 'feed'])->where('secret', '[A-Za-z0-9]{40}')->middleware('throttle:60,1');

// For phones and mail programs, with a password of their own; RFC 6764, 5 for where they look first.
Route::match(['GET', 'PROPFIND'], '/.well-known/carddav', fn () => new RedirectResponse('/dav/', 301))->withoutMiddleware('web');
Route::prefix('dav')
    ->withoutMiddleware('web')->middleware([CardPassword::class, 'throttle:600,1', SubstituteBindings::class])
    ->group(function (): void {
        Route::match(['OPTIONS'], '{path?}', [CardDavController::class, 'options'])->where('path', '.*');
        Route::match(['PROPFIND'], '/', [CardDavController::class, 'root']);
        Route::match(['PROPFIND'], 'me', [CardDavController::class, 'principal']);
        Route::match(['PROPFIND'], 'books', [CardDavController::class, 'home']);
        Route::match(['PROPFIND', 'REPORT'], 'books/{book}', [CardDavController::class, 'addressBook'])->where('book', '[a-z]+(-\d+)?');
        Route::match(['GET', 'HEAD', 'PROPFIND'], 'books/{book}/{id}.vcf', [CardDavController::class, 'one'])
            ->where('book', '[a-z]+(-\d+)?')->whereNumber('id');
        Route::match(['GET', 'HEAD', 'PROPFIND', 'REPORT'], '{path?}', [CardDavController::class, 'nothing'])->where('path', '.*');
        Route::match(['PUT', 'DELETE', 'POST', 'PATCH', 'PROPPATCH', 'MKCOL', 'MOVE', 'COPY', 'LOCK'], '{path?}', [CardDavController::class, 'refuse'])->where('path', '.*');
    });

// That of a record that was made one with another is where that is.
Route::get('/records/{record}/{rest?}', [PageController::class, 'record'])->whereNumber('record')->where('rest', '.*');

// Every page is the same page; the browser's half of the program reads the address.
Route::view('/{path?}', 'app')->where('path', '(?!api/|dav/|dav$).*');
