<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every page is the same page; the browser's half of the program reads the address.
Route::view('/{path?}', 'app')->where('path', '(?!api/).*');
