<?php

declare(strict_types=1);

namespace App\Providers;

use App\Canvas\TeacherDrew;
use App\Database\ImmediateConnector;
use App\Http\Icons;
use App\Http\Limits;
use App\Live\Clock;
use App\Live\PublicAddress;
use App\Live\Publisher;
use App\Sessions\Life\EndIdle;
use App\Sessions\Life\LookAfter;
use App\Sessions\Show\KeepShownCurrent;
use Crag\Reading\Reader;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Vite;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** When idle sessions were last looked for. */
    private static int $looked = 0;

    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->bind(Reader::class, config()->string('crag.reader'));
        $this->app->singleton(
            Publisher::class,
            static fn (): Publisher => new Publisher(config()->string('crag.publish_socket')),
        );
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->environment('production'));
        Limits::define();
        PublicAddress::inLinks();
        // The queue's worker looks after what nobody is there to end.
        Queue::looping(static function (): void {
            if (Clock::ms() - self::$looked >= EndIdle::EVERY_MS) {
                self::$looked = Clock::ms();
                app(LookAfter::class)();
            }
        });
        Event::listen(TeacherDrew::class, KeepShownCurrent::class);
        $this->app->make(Vite::class)->useBuildDirectory('build');
        Blade::precompiler(Icons::inline(...));
    }
}
