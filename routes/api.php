<?php

declare(strict_types=1);

use App\Http\Controllers\Access\SessionController;
use App\Http\Controllers\Files\FilesController;
use App\Http\Controllers\Finding\FindController;
use App\Http\Controllers\LookAlikes\LookAlikesController;
use App\Http\Controllers\Notes\NotesController;
use App\Http\Controllers\Office\ChoicesController;
use App\Http\Controllers\Office\ListsController;
use App\Http\Controllers\Office\OfficeController;
use App\Http\Controllers\Office\SheetsController;
use App\Http\Controllers\Office\TermsController;
use App\Http\Controllers\Readiness\GapsController;
use App\Http\Controllers\Records\AddressController;
use App\Http\Controllers\Records\ArchiveController;
use App\Http\Controllers\Records\KinController;
use App\Http\Controllers\Records\NameController;
use App\Http\Controllers\Records\PartyController;
use App\Http\Controllers\Records\PrivateController;
use App\Http\Controllers\Records\ReplaceController;
use App\Http\Controllers\Records\SectionController;
use App\Http\Controllers\Reminders\RemindersController;
use App\Http\Controllers\Terms\PreviewController;
use App\Http\Controllers\Today\TodayController;
use App\Http\Middleware\InOffice;
use App\Support\Permission;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('setup', [SessionController::class, 'setUp']);
Route::post('tokens', [SessionController::class, 'token']);
Route::get('countries', [ChoicesController::class, 'countries']);

Route::middleware(['auth:sanctum', InOffice::class])->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::get('choices', [ChoicesController::class, 'index']);
    Route::get('today', [TodayController::class, 'index']);
    Route::get('reminders', [TodayController::class, 'due']);
    Route::post('calendar', [RemindersController::class, 'open']);
    Route::get('files/{file}', [FilesController::class, 'read'])->whereNumber('file');
    Route::get('find', FindController::class);
    Route::get('gaps', GapsController::class);
    Route::get('look-alikes', [LookAlikesController::class, 'index']);
    Route::post('look-alikes', [LookAlikesController::class, 'find']);
    Route::get('names', NameController::class);
    Route::get('parties', [PartyController::class, 'index']);
    Route::get('parties/{party}', [PartyController::class, 'show'])->whereNumber('party');
    Route::get('parties/{party}/addresses', [AddressController::class, 'apart'])->whereNumber('party');
    Route::get('parties/{party}/kin', [KinController::class, 'index'])->whereNumber('party');
    Route::get('parties/{party}/changes', [PartyController::class, 'changes'])->whereNumber('party');
    Route::post('terms/preview', PreviewController::class);

    Route::middleware('can:'.Permission::RunOffice->value)->group(function (): void {
        Route::get('office', [OfficeController::class, 'show']);
        Route::put('office', [OfficeController::class, 'save']);
        Route::get('users', [OfficeController::class, 'users']);
        Route::post('users', [OfficeController::class, 'add']);
        Route::put('users/{user}', [OfficeController::class, 'change'])->whereNumber('user');
        Route::get('lists', [ListsController::class, 'index']);
        Route::post('lists/{list}', [ListsController::class, 'add']);
        Route::put('list-items/{item}', [ListsController::class, 'change'])->whereNumber('item');
        Route::get('terms', [TermsController::class, 'index']);
        Route::post('terms', [TermsController::class, 'add']);
        Route::put('terms/{terms}', [TermsController::class, 'change'])->whereNumber('terms');
        Route::get('sheets', [SheetsController::class, 'index']);
        Route::post('sheets', [SheetsController::class, 'add']);
        Route::put('sheets/{sheet}', [SheetsController::class, 'change'])->whereNumber('sheet');
    });

    Route::post('parties/{party}/reveal', PrivateController::class)->whereNumber('party')->middleware('can:'.Permission::SeePrivate->value);

    Route::middleware('can:'.Permission::ChangeRecords->value)->group(function (): void {
        Route::delete('look-alikes/{pair}', [LookAlikesController::class, 'settle'])->whereNumber('pair');
        Route::post('parties', [PartyController::class, 'store']);
        Route::post('reminders/{reminder}/done', [RemindersController::class, 'done'])->whereNumber('reminder');
        Route::put('reminders/{reminder}', [RemindersController::class, 'putOff'])->whereNumber('reminder');
        Route::delete('reminders/{reminder}', [RemindersController::class, 'remove'])->whereNumber('reminder');
        Route::post('positions/{position}/replace', ReplaceController::class)->whereNumber('position');
        Route::put('files/{file}', [FilesController::class, 'change'])->whereNumber('file');
        Route::delete('files/{file}', [FilesController::class, 'remove'])->whereNumber('file');
        Route::prefix('parties/{party}')->whereNumber('party')->scopeBindings()->group(function (): void {
            Route::delete('/', [ArchiveController::class, 'destroy']);
            Route::post('reminders', [RemindersController::class, 'add']);
            Route::post('files', [FilesController::class, 'add']);
            Route::post('entries', [NotesController::class, 'write']);
            Route::put('entries/{logEntry}', [NotesController::class, 'pin']);
            Route::delete('entries/{logEntry}', [NotesController::class, 'remove']);
            Route::post('cautions', [NotesController::class, 'caution']);
            Route::delete('cautions/{caution}', [NotesController::class, 'lift']);
            Route::post('take-over', [KinController::class, 'takeOver']);
            Route::put('archive', [ArchiveController::class, 'store']);
            Route::delete('archive', [ArchiveController::class, 'restore']);
            Route::put('identity', [SectionController::class, 'identity']);
            Route::put('reach', [SectionController::class, 'reach']);
            Route::put('addresses', [SectionController::class, 'addresses']);
            Route::post('addresses/{addressUse}/move', [AddressController::class, 'move'])->whereNumber('addressUse');
            Route::put('positions', [SectionController::class, 'positions']);
            Route::put('relations', [SectionController::class, 'relations']);
            Route::put('classification', [SectionController::class, 'classification']);
            Route::put('details', [SectionController::class, 'details']);
            Route::put('tax-numbers', [SectionController::class, 'taxNumbers']);
            Route::put('client-terms', [SectionController::class, 'clientTerms']);
            Route::put('vendor-terms', [SectionController::class, 'vendorTerms']);
        });
    });
});
