<?php

declare(strict_types=1);

use App\Http\Controllers\PageController;
use App\Http\Controllers\Reminders\RemindersController;
use Illuminate\Support\Facades\Route;

// For calendar programs, which cannot sign in: the address is the secret.
Route::get('/calendar/{secret}.ics', [RemindersController::class, 'feed'])->where('secret', '[A-Za-z0-9]{40}')->middleware('throttle:60,1');

// That of a record that was made one with another is where that is.
Route::get('/records/{record}/{rest?}', [PageController::class, 'record'])->whereNumber('record')->where('rest', '.*');

// Every page is the same page; the browser's half of the program reads the address.
Route::view('/{path?}', 'app')->where('path', '(?!api/).*');
