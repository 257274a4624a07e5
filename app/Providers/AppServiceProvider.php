<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\SchoolAccount;
use App\Canvas\GroupChanged;
use App\Canvas\TeacherDrew;
use App\Database\ImmediateConnector;
use App\Database\PostgresConnector;
use App\Database\PostgresWithTurns;
use App\Database\SqliteWithCursors;
use App\Http\Limits;
use App\Http\ViewSource;
use App\Live\Clock;
use App\Live\PublicAddress;
use App\Live\Publisher;
use App\Sessions\Life\EndIdle;
use App\Sessions\Life\LookAfter;
use App\Sessions\Room\TellGroup;
use App\Sessions\Show\KeepShownCurrent;
use Crag\Reading\Reader;
use GuzzleHttp\Client;
use Illuminate\Cache\RateLimiter;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Vite;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;
use Illuminate\View\Compilers\BladeCompiler;

final class AppServiceProvider extends ServiceProvider
{
    /** No round takes longer; the lock of a worker that was killed is let go after it. */
    private const ROUND_S = 120;

    /** When idle sessions were last looked for. */
    private static int $looked = 0;

    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->bind('db.connector.pgsql', PostgresConnector::class);
        Connection::resolverFor('sqlite', static fn (mixed ...$given) => new SqliteWithCursors(...$given));
        Connection::resolverFor('pgsql', static fn (mixed ...$given) => new PostgresWithTurns(...$given));
        $this->app->bind(
            Reader::class,
            static fn (Application $app): mixed => $app->make(config()->string('crag.reader')),
        );
        $this->app->bind(Client::class, SchoolAccount::client(...));
        $this->app->singleton(
            Publisher::class,
            static fn (): Publisher => new Publisher(config()->string('crag.publish_socket')),
        );
    }

    /** Of several nodes one at a time. */
    private static function lookAfter(): void
    {
        $lookAfter = app(LookAfter::class);
        if (config('crag.node') === '') {
            $lookAfter();
        } else {
            Cache::lock('look-after', self::ROUND_S)->get($lookAfter(...));
        }
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->environment('production'));
        // What most requests never use is made ready only where it is used: a stroke pays for all that is begun here.
        $this->callAfterResolving(RateLimiter::class, static fn (RateLimiter $limiter) => Limits::define($limiter));
        PublicAddress::inLinks();
        // The queue's worker looks after what nobody is there to end.
        Event::listen(Looping::class, static function (): void {
            if (Clock::ms() - self::$looked >= EndIdle::EVERY_MS) {
                self::$looked = Clock::ms();
                self::lookAfter();
            }
        });
        Event::listen(TeacherDrew::class, KeepShownCurrent::class);
        Event::listen(GroupChanged::class, TellGroup::class);
        $this->callAfterResolving(Vite::class, static fn (Vite $vite) => $vite->useBuildDirectory('build'));
        $this->callAfterResolving(
            'blade.compiler',
            // Before component tags are compiled: a precompiler comes after them.
            static fn (BladeCompiler $blade) => $blade->prepareStringsForCompilationUsing(ViewSource::prepared(...)),
        );
    }
}
