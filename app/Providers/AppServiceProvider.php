<?php

declare(strict_types=1);

namespace App\Providers;

use App\Acts\ActLog;
use App\Database\ImmediateConnector;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->scoped(ActLog::class);
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
        // A misspelt attribute or a query hidden in a loop is a defect; tests find it, nobody at a desk does.
        Model::shouldBeStrict(! $this->app->isProduction());
    }
}
