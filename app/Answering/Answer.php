<?php

declare(strict_types=1);

namespace App\Answering;

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** Answers one request after another with an application that stays started, and forgets each when it is answered. */
final class Answer
{
    private const CHUNK = 65_536;

    public function __construct(
        private readonly Application $app,
        private readonly Kernel $kernel,
        private readonly ForgetRequest $forget,
    ) {
    }

    /**
     * Whether all is well: after what went wrong nobody knows what is left, and the process should make room for a new
     * one.
     */
    public function __invoke(FastCgi $connection): bool
    {
        $asked = $connection->read();
        if ($asked === null) {
            return true;
        }
        try {
            $request = Asked::request(...$asked);
            $response = $this->kernel->handle($request);
            $connection->write(self::head($response));
            self::body($response, $connection, $request);
            $connection->end();
            $this->kernel->terminate($request, $response);
            $this->forget->after($this->app);

            return $response->getStatusCode() !== 500;
        } catch (Throwable $problem) {
            rescue(static fn () => report($problem));

            return false;
        }
    }

    /** What most requests use is loaded before the first one comes. */
    public function warm(): void
    {
        $request = Request::create('http://127.0.0.1/busy', server: ['HTTP_ACCEPT' => 'application/json']);
        $this->kernel->terminate($request, $this->kernel->handle($request));
        $this->forget->after($this->app);
    }

    private static function head(Response $response): string
    {
        $status = $response->getStatusCode();
        $lines = ["Status: {$status} ".(Response::$statusTexts[$status] ?? '')];
        foreach ($response->headers->allPreserveCase() as $name => $values) {
            foreach ($values as $value) {
                // A line that ends within a value would begin another.
                $lines[] = $name.': '.str_replace(["\r", "\n", "\0"], ' ', (string) $value);
            }
        }

        return implode("\r\n", $lines)."\r\n\r\n";
    }

    /** Whole or, where it is made as it is sent, piece by piece. */
    private static function body(Response $response, FastCgi $connection, Request $request): void
    {
        if ($request->isMethod('HEAD')) {
            return;
        }
        $content = $response->getContent();
        if ($content !== false) {
            $connection->write($content);

            return;
        }
        ob_start(static function (string $piece) use ($connection): string {
            $connection->write($piece);

            return '';
        }, self::CHUNK);
        try {
            $response->sendContent();
        } finally {
            ob_end_flush();
        }
    }
}
