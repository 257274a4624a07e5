<?php

declare(strict_types=1);

use App\Http\Middleware\GreetsVisitor;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SameOrigin;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\StartWebSession;
use App\Http\Middleware\TakesTurn;
use App\Live\Health;
use Crag\Session\Rules\Refusal;
use Crag\Session\Rules\RefusedDeed;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        then: static fn () => Route::middleware('hot')->group(__DIR__.'/../routes/hot.php'),
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // Every request is same-origin: no other site is ever let in.
        $middleware->remove(HandleCors::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->prepend(KnownHost::class);
        // Forms are tidied; what a page sends as JSON is taken as it is, empty words and line ends too.
        $isJson = static fn (Request $request): bool => $request->isJson();
        $middleware->trimStrings(except: [$isJson]);
        $middleware->convertEmptyStringsToNull(except: [$isJson]);
        $middleware->web(
            append: [PlainInput::class, TakesTurn::class, GreetsVisitor::class],
            replace: [StartSession::class => StartWebSession::class],
        );
        // What open pages ask all day long: no session is opened for it.
        $middleware->group('hot', [
            EncryptCookies::class,
            PlainInput::class,
            SameOrigin::class,
            SubstituteBindings::class,
            TakesTurn::class,
        ]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['name']);
        // What may not be done now is told with its reason; the page puts itself right by it.
        $exceptions->dontReport(RefusedDeed::class);
        // A disk that is full, a database that is locked: said in a sentence, and the page tries again.
        $exceptions->render(static function (PDOException $problem, Request $request) {
            $said = Health::said($problem);

            return $said === null
                ? null
                : ($request->expectsJson() || $request->isJson()
                    ? response()->json(['message' => $said], 503)
                    : response()->view('refused', ['sentence' => $said], 503));
        });
        $exceptions->render(static function (RefusedDeed $problem, Request $request) {
            $status = $problem->refusal === Refusal::NotYours ? 403 : 409;

            return $request->expectsJson() || $request->isJson()
                ? response()->json(
                    ['message' => __($problem->getMessage()), 'refusal' => $problem->refusal->value],
                    $status,
                )
                : response()->view('refused', ['sentence' => __($problem->getMessage())], $status);
        });
    })
    ->create();
