<?php

declare(strict_types=1);

namespace App\Providers;

use Almanac\Access\Permission;
use App\Actions\Finding\HeldIndex;
use App\Acts\ActLog;
use App\Database\ImmediateConnector;
use App\Database\OfficeConnection;
use App\Http\Problems\MadeOne;
use App\Models\FormerRecord;
use App\Models\Party;
use App\Models\User;
use App\Upgrade\CarryOver;
use App\Upgrade\OfficeMigrator;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Events\TokenAuthenticated;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        Connection::resolverFor(
            'sqlite',
            fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config) => new OfficeConnection($pdo, $database, $prefix, $config),
        );
        $this->app->extend('migrator', fn (Migrator $migrator, Application $app) => (new OfficeMigrator(
            $app->make('migration.repository'), $app->make('db'), $app->make('files'), $app->make('events'),
        ))->carryingOver($app->make(CarryOver::class)));
        $this->app->scoped(ActLog::class);
        $this->app->scoped(HeldIndex::class);
    }

    public function boot(): void
    {
        foreach (['created', 'updated', 'deleted'] as $happened) {
            Event::listen("eloquent.$happened: *", function (string $event, array $models): void {
                if (($models[0] ?? null) instanceof Model) {
                    $this->app->make(ActLog::class)->hear($event, $models[0]);
                }
            });
        }
        // A record that was made one with another is found where that is.
        Route::bind('party', function (string $id): Party {
            $number = ctype_digit($id) && strlen($id) < 19 ? (int) $id : 0;
            $party = Party::query()->find($number);
            if ($party === null) {
                $former = FormerRecord::query()->with('kept')->find($number);
                throw $former === null ? (new ModelNotFoundException)->setModel(Party::class) : new MadeOne($former);
            }

            return $party;
        });
        // What a role allows is said by the core; nobody has a permission of their own.
        foreach (Permission::cases() as $permission) {
            Gate::define($permission->value, fn (User $user) => $user->role->may($permission));
        }
        // Told by the day, and kept by the hour: a script that only reads does not write at every request.
        Event::listen(function (TokenAuthenticated $event): void {
            $token = $event->token;
            if ($token->last_used_at === null || $token->last_used_at->lt(now()->subHour())) {
                $token->forceFill(['last_used_at' => now()])->save();
            }
        });
        // A misspelt attribute or a query hidden in a loop is a defect; tests find it, nobody at a desk does.
        Model::shouldBeStrict(! $this->app->isProduction());
    }
}
