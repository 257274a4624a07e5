<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\ImmediateConnector;
use App\Live\Publisher;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Vite;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->singleton(Publisher::class, static fn (): Publisher => new Publisher(
            config()->string('crag.publish_socket'),
        ));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->environment('production'));
        $this->app->make(Vite::class)->useBuildDirectory('build');
        Blade::anonymousComponentPath(resource_path('views/partials'));
    }
}
