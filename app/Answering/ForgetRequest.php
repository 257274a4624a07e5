<?php

declare(strict_types=1);

namespace App\Answering;

use App\Database\Turn;
use Illuminate\Contracts\View\Factory;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Vite;
use Illuminate\Redis\RedisManager;
use Illuminate\Support\Facades\Facade;
use Illuminate\Support\ViewErrorBag;

/**
 * What a request leaves in an application that stays started: taken away before the next, whoever asks that. Ours
 * keeps who asks with the request itself; what follows is the framework's.
 */
final readonly class ForgetRequest
{
    /** Made once for a request, and made anew for the next that needs it. */
    private const MADE = [
        'session',
        'session.store',
        'cookie',
        'redirect',
        'auth',
        'auth.driver',
        Vite::class,
    ];

    private string $locale;

    public function __construct()
    {
        $this->locale = config()->string('app.locale');
    }

    public function after(Application $app): void
    {
        $app->forgetScopedInstances();
        foreach (self::MADE as $one) {
            $app->forgetInstance($one);
        }
        Facade::clearResolvedInstances();
        if ($app->getLocale() !== $this->locale) {
            $app->setLocale($this->locale);
        }
        if ($app->resolved('view')) {
            $views = $app->make(Factory::class);
            $views->share('errors', new ViewErrorBag());
            $views->flushState();
        }
        foreach ($app->resolved('db') ? $app->make('db')->getConnections() : [] as $connection) {
            while ($connection->transactionLevel() > 0) {
                $connection->rollBack();
            }
            $connection->forgetRecordModificationState();
        }
        if ($app->resolved('redis')) {
            self::leave($app->make('redis'));
        }
        Turn::of();
    }

    /** Where Redis was started again, the next request begins with a new connection, and nobody sees an error. */
    private static function leave(mixed $redis): void
    {
        if ($redis instanceof RedisManager) {
            array_map($redis->purge(...), array_keys($redis->connections() ?? []));
        }
    }
}
