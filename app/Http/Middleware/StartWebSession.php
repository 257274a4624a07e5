<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Live\Clock;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * A browser's session that does not remember where it was: an address names a session or a seat, which may be
 * forgotten. It is written only where something in it has changed: a file for each page that is opened was a third of
 * the time that a class waited to come in.
 */
final class StartWebSession extends StartSession
{
    /** When it was written: what is not used for a week is forgotten, so it is written once a day all the same. */
    private const WRITTEN = 'written';

    private const DAY_MS = 86_400_000;

    /** @var array{string, array<string, mixed>} its id and what was in it */
    private array $before = ['', []];

    /**
     * @param  Session  $session
     */
    protected function startSession(Request $request, $session): Session
    {
        $session = parent::startSession($request, $session);
        $this->before = self::held($session);

        return $session;
    }

    /**
     * The way back is the browser's own word, its referrer.
     *
     * @param  Session  $session
     */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }

    /**
     * @param  Request  $request
     */
    protected function saveSession($request): void
    {
        $session = $this->manager->driver();
        $isFlashed = $session->get('_flash', []) !== ['old' => [], 'new' => []] && $session->has('_flash');
        $written = $session->get(self::WRITTEN);
        $isRecent = is_int($written) && abs(Clock::ms() - $written) < self::DAY_MS;
        if ($isRecent && ! $isFlashed && self::held($session) === $this->before) {
            return;
        }
        $session->put(self::WRITTEN, Clock::ms());
        parent::saveSession($request);
    }

    /** @return array{string, array<string, mixed>} */
    private static function held(Session $session): array
    {
        return [$session->getId(), $session->all()];
    }
}
