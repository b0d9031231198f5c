<?php

declare(strict_types=1);

namespace App\Providers;

use App\Support\Database\ImmediateConnector;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
    }

    public function boot(): void
    {
        // A misspelt attribute or a query hidden in a loop is a defect; tests find it, nobody at a desk does.
        Model::shouldBeStrict(! $this->app->isProduction());
    }
}
