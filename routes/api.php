<?php

declare(strict_types=1);

use Almanac\Access\Permission;
use App\Http\Controllers\Access\AccountController;
use App\Http\Controllers\Access\SessionController;
use App\Http\Controllers\Banking\BankController;
use App\Http\Controllers\Books\BooksController;
use App\Http\Controllers\Engagements\EngagementKindsController;
use App\Http\Controllers\Engagements\EngagementsController;
use App\Http\Controllers\Engagements\EngagementSectionsController;
use App\Http\Controllers\Files\FilesController;
use App\Http\Controllers\Finding\FindController;
use App\Http\Controllers\Ledger\DocumentsController;
use App\Http\Controllers\Ledger\ImportsController;
use App\Http\Controllers\Ledger\JobsController;
use App\Http\Controllers\Ledger\PaperController;
use App\Http\Controllers\Ledger\PaymentsController;
use App\Http\Controllers\Ledger\TouchedController;
use App\Http\Controllers\LookAlikes\LookAlikesController;
use App\Http\Controllers\Notes\NotesController;
use App\Http\Controllers\Office\ChoicesController;
use App\Http\Controllers\Office\ListsController;
use App\Http\Controllers\Office\LogoController;
use App\Http\Controllers\Office\OfficeController;
use App\Http\Controllers\Office\SheetsController;
use App\Http\Controllers\Office\TermsController;
use App\Http\Controllers\Readiness\GapsController;
use App\Http\Controllers\Records\AddressController;
use App\Http\Controllers\Records\ArchiveController;
use App\Http\Controllers\Records\KnownController;
use App\Http\Controllers\Records\LikelyRelationsController;
use App\Http\Controllers\Records\NameController;
use App\Http\Controllers\Records\PartyController;
use App\Http\Controllers\Records\PrivateController;
use App\Http\Controllers\Records\ReplaceController;
use App\Http\Controllers\Records\SectionController;
use App\Http\Controllers\Reminders\RemindersController;
use App\Http\Controllers\Terms\PreviewController;
use App\Http\Controllers\Today\TodayController;
use App\Http\Middleware\InOffice;
use App\Http\Middleware\NewDay;
use App\Http\Middleware\OneAct;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('setup', [SessionController::class, 'setUp']);
Route::post('tokens', [SessionController::class, 'token'])->middleware(OneAct::class);
Route::get('countries', [ChoicesController::class, 'countries']);

Route::middleware(['auth:sanctum', InOffice::class, NewDay::class, OneAct::class])->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy'])->withoutMiddleware(OneAct::class);
    Route::get('tokens', [AccountController::class, 'tokens']);
    Route::delete('tokens/{token}', [AccountController::class, 'revoke'])->whereNumber('token');
    Route::put('password', [AccountController::class, 'password']);
    Route::get('choices', [ChoicesController::class, 'index']);
    Route::get('today', [TodayController::class, 'index']);
    Route::get('reminders', [TodayController::class, 'due']);
    Route::post('calendar', [RemindersController::class, 'open']);
    Route::get('files/{file}', [FilesController::class, 'read'])->whereNumber('file');
    Route::get('find', FindController::class);
    Route::get('gaps', GapsController::class);
    Route::get('look-alikes', [LookAlikesController::class, 'index']);
    Route::post('look-alikes', [LookAlikesController::class, 'find'])->withoutMiddleware(OneAct::class);
    Route::get('names', NameController::class);
    Route::get('known/addresses', [KnownController::class, 'addresses']);
    Route::get('known/phones', [KnownController::class, 'phones']);
    Route::get('known/emails', [KnownController::class, 'emails']);
    Route::get('engagement-kinds', [EngagementKindsController::class, 'index']);
    Route::get('engagements', [EngagementsController::class, 'index']);
    Route::get('engagements/{engagement}', [EngagementsController::class, 'show'])->whereNumber('engagement');
    Route::get('engagements/{engagement}/changes', [EngagementsController::class, 'changes'])->whereNumber('engagement');
    Route::get('parties/{party}/engagements', [EngagementsController::class, 'ofRecord'])->whereNumber('party');
    Route::get('parties', [PartyController::class, 'index']);
    Route::get('parties/{party}', [PartyController::class, 'show'])->whereNumber('party');
    Route::get('parties/{party}/addresses', [AddressController::class, 'apart'])->whereNumber('party');
    Route::get('parties/{party}/likely-relations', [LikelyRelationsController::class, 'index'])->whereNumber('party');
    Route::get('parties/{party}/changes', [PartyController::class, 'changes'])->whereNumber('party');
    Route::post('terms/preview', PreviewController::class)->withoutMiddleware(OneAct::class);
    Route::get('books', [BooksController::class, 'index']);
    Route::get('accounts/file', [BooksController::class, 'writeAccounts']);
    Route::get('documents', [DocumentsController::class, 'index']);
    Route::get('documents/{document}', [DocumentsController::class, 'show'])->whereNumber('document');
    Route::get('documents/{document}/pdf', [PaperController::class, 'pdf'])->whereNumber('document');
    Route::get('documents/{document}/ubl', [PaperController::class, 'ubl'])->whereNumber('document');
    Route::get('messages/{message}', [PaperController::class, 'message'])->whereNumber('message');
    Route::get('payments', [PaymentsController::class, 'index']);
    Route::get('payments/{payment}', [PaymentsController::class, 'show'])->whereNumber('payment');
    Route::get('jobs', [JobsController::class, 'index']);
    Route::get('jobs/{job}/file', [JobsController::class, 'file'])->whereNumber('job');
    Route::delete('jobs/{job}', [JobsController::class, 'forget'])->whereNumber('job');
    Route::get('tax-report', [PaperController::class, 'taxReport']);
    Route::get('imports', [ImportsController::class, 'index']);
    Route::get('imports/{import}', [ImportsController::class, 'show'])->whereNumber('import');
    Route::prefix('parties/{party}')->whereNumber('party')->group(function (): void {
        Route::get('document-defaults', [DocumentsController::class, 'defaults']);
        Route::get('statement', [PaperController::class, 'statement']);
        Route::post('statement', [JobsController::class, 'begin']);
        Route::get('reminder-letter', [PaperController::class, 'reminder']);
    });

    Route::middleware('can:'.Permission::RunOffice->value)->group(function (): void {
        Route::get('office', [OfficeController::class, 'show']);
        Route::put('office', [OfficeController::class, 'save']);
        Route::get('office/logo', [LogoController::class, 'show']);
        Route::post('office/logo', [LogoController::class, 'store']);
        Route::delete('office/logo', [LogoController::class, 'destroy']);
        Route::get('acts', [OfficeController::class, 'acts']);
        Route::get('users', [OfficeController::class, 'users']);
        Route::post('users', [OfficeController::class, 'add']);
        Route::put('users/{user}', [OfficeController::class, 'change'])->whereNumber('user');
        Route::get('lists', [ListsController::class, 'index']);
        Route::post('lists/{list}', [ListsController::class, 'add']);
        Route::put('list-items/{item}', [ListsController::class, 'change'])->whereNumber('item');
        Route::get('terms', [TermsController::class, 'index']);
        Route::post('terms', [TermsController::class, 'add']);
        Route::put('terms/{terms}', [TermsController::class, 'change'])->whereNumber('terms');
        Route::post('engagement-kinds', [EngagementKindsController::class, 'add']);
        Route::put('engagement-kinds/{kind}', [EngagementKindsController::class, 'change'])->whereNumber('kind');
        Route::get('sheets', [SheetsController::class, 'index']);
        Route::post('sheets', [SheetsController::class, 'add']);
        Route::put('books', [BooksController::class, 'settings']);
        Route::put('books/defaults', [BooksController::class, 'defaults']);
        Route::post('tax-rates', [BooksController::class, 'addTaxRate']);
        Route::put('tax-rates/{taxRate}', [BooksController::class, 'taxRate'])->whereNumber('taxRate');
        Route::post('accounts', [BooksController::class, 'addAccount']);
        Route::post('accounts/file', [BooksController::class, 'readAccounts']);
        Route::put('accounts/{account}', [BooksController::class, 'account'])->whereNumber('account');
        Route::post('cost-centres', [BooksController::class, 'addCostCentre']);
        Route::put('cost-centres/{costCentre}', [BooksController::class, 'costCentre'])->whereNumber('costCentre');
        Route::post('currency-rates', [BooksController::class, 'addRate']);
        Route::delete('currency-rates/{currencyRate}', [BooksController::class, 'removeRate'])->whereNumber('currencyRate');
        Route::post('holidays', [BooksController::class, 'readHolidays']);
        Route::delete('holidays', [BooksController::class, 'forgetHolidays']);
        Route::put('sheets/{sheet}', [SheetsController::class, 'change'])->whereNumber('sheet');
    });

    Route::post('parties/{party}/bank-details/{bankDetail}/reveal', [BankController::class, 'reveal'])
        ->whereNumber(['party', 'bankDetail'])
        ->scopeBindings()
        ->middleware('can:'.Permission::SeePrivate->value);
    Route::post('parties/{party}/bank-details/{bankDetail}/confirm', [BankController::class, 'confirm'])
        ->whereNumber(['party', 'bankDetail'])
        ->scopeBindings()
        ->middleware('can:'.Permission::ApproveChanges->value);
    Route::post('parties/{party}/reveal', PrivateController::class)
        ->whereNumber('party')
        ->middleware('can:'.Permission::SeePrivate->value);

    Route::middleware('can:'.Permission::ChangeRecords->value)->group(function (): void {
        Route::delete('look-alikes/{pair}', [LookAlikesController::class, 'settle'])->whereNumber('pair');
        Route::post('parties', [PartyController::class, 'store']);
        Route::post('reminders/{reminder}/done', [RemindersController::class, 'done'])->whereNumber('reminder');
        Route::put('reminders/{reminder}', [RemindersController::class, 'putOff'])->whereNumber('reminder');
        Route::delete('reminders/{reminder}', [RemindersController::class, 'remove'])->whereNumber('reminder');
        Route::post('positions/{position}/replace', ReplaceController::class)->whereNumber('position');
        Route::put('documents/{document}', [DocumentsController::class, 'change'])->whereNumber('document');
        Route::delete('documents/{document}', [DocumentsController::class, 'void'])->whereNumber('document');
        Route::prefix('documents/{document}')->whereNumber('document')->group(function (): void {
            Route::post('issue', [DocumentsController::class, 'issue']);
            Route::put('engagement', [DocumentsController::class, 'forEngagement']);
            Route::post('next', [DocumentsController::class, 'next']);
            Route::post('revise', [DocumentsController::class, 'revise']);
            Route::post('copy', [DocumentsController::class, 'copy']);
            Route::post('write-off', [DocumentsController::class, 'writeOff']);
            Route::post('allocations', [DocumentsController::class, 'use']);
            Route::post('send', [PaperController::class, 'send']);
        });
        Route::post('payments/{payment}/allocations', [PaymentsController::class, 'use'])->whereNumber('payment');
        Route::put('payments/{payment}/engagement', [PaymentsController::class, 'forEngagement'])->whereNumber('payment');
        Route::delete('payments/{payment}', [PaymentsController::class, 'void'])->whereNumber('payment');
        Route::delete('allocations/{allocation}', [PaymentsController::class, 'takeBack'])->whereNumber('allocation');
        Route::post('imports', [ImportsController::class, 'add']);
        Route::post('imports/{import}/take', [ImportsController::class, 'take'])->whereNumber('import');
        Route::delete('imports/{import}', [ImportsController::class, 'forget'])->whereNumber('import');
        Route::put('files/{file}', [FilesController::class, 'change'])->whereNumber('file');
        Route::delete('files/{file}', [FilesController::class, 'remove'])->whereNumber('file');
        Route::post('engagements', [EngagementsController::class, 'store']);
        Route::prefix('engagements/{engagement}')->whereNumber(['engagement', 'move', 'inRole'])->scopeBindings()->group(function (): void {
            Route::delete('/', [EngagementsController::class, 'destroy']);
            Route::put('archive', [EngagementsController::class, 'archive']);
            Route::delete('archive', [EngagementsController::class, 'restore']);
            Route::put('head', [EngagementSectionsController::class, 'head']);
            Route::put('parties', [EngagementSectionsController::class, 'parties']);
            Route::put('site', [EngagementSectionsController::class, 'site']);
            Route::put('links', [EngagementSectionsController::class, 'links']);
            Route::put('details', [EngagementSectionsController::class, 'details']);
            Route::post('sections/{section}/undo', [EngagementSectionsController::class, 'undo']);
            Route::post('moves', [EngagementSectionsController::class, 'move']);
            Route::delete('moves/{move}', [EngagementSectionsController::class, 'takeBack']);
            Route::post('parties/{inRole}/replace', [EngagementSectionsController::class, 'replace']);
        });
        Route::prefix('parties/{party}')->whereNumber('party')->scopeBindings()->group(function (): void {
            Route::delete('/', [ArchiveController::class, 'destroy']);
            Route::post('reminders', [RemindersController::class, 'add']);
            Route::post('files', [FilesController::class, 'add']);
            Route::post('entries', [NotesController::class, 'write']);
            Route::put('entries/{logEntry}', [NotesController::class, 'pin']);
            Route::delete('entries/{logEntry}', [NotesController::class, 'remove']);
            Route::post('cautions', [NotesController::class, 'caution']);
            Route::delete('cautions/{caution}', [NotesController::class, 'lift']);
            Route::post('document-preview', [DocumentsController::class, 'preview'])->withoutMiddleware(OneAct::class);
            Route::post('documents', [DocumentsController::class, 'add']);
            Route::post('payment-preview', [PaymentsController::class, 'preview'])->withoutMiddleware(OneAct::class);
            Route::post('opening', [DocumentsController::class, 'opening']);
            Route::post('payments', [PaymentsController::class, 'take']);
            Route::post('touched/identity', [TouchedController::class, 'identity']);
            Route::post('touched/addresses', [TouchedController::class, 'addresses']);
            Route::post('touched/addresses/{addressUse}', [TouchedController::class, 'move'])->whereNumber('addressUse');
            Route::post('touched/tax-numbers', [TouchedController::class, 'taxNumbers']);
            Route::post('touched/client-terms', [TouchedController::class, 'clientTerms']);
            Route::post('touched/vendor-terms', [TouchedController::class, 'vendorTerms']);
            Route::post('follow', [TouchedController::class, 'follow']);
            Route::post('bank-details', [BankController::class, 'add']);
            Route::delete('bank-details/{bankDetail}', [BankController::class, 'refuse'])->whereNumber('bankDetail');
            Route::post('cards', [BankController::class, 'addCard']);
            Route::delete('cards/{card}', [BankController::class, 'removeCard'])->whereNumber('card');
            Route::put('archive', [ArchiveController::class, 'store']);
            Route::delete('archive', [ArchiveController::class, 'restore']);
            Route::post('sections/{section}/undo', [SectionController::class, 'undo']);
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
