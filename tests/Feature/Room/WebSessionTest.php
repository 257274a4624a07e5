<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use Illuminate\Support\Facades\Session;
use SessionHandlerInterface;
use Tests\Support\CragTestCase;

/** A browser's session is written where it has changed, and once a day. */
final class WebSessionTest extends CragTestCase
{
    public function test_a_page_that_changes_nothing_writes_nothing(): void
    {
        $written = $this->counted();
        $this->get('/join')->assertOk();
        self::assertSame(1, $written(), 'a session that is new');
        $this->again()->get('/join')->assertOk();
        $this->again()->get('/join')->assertOk();
        self::assertSame(1, $written());
        $this->travel(25)->hours();
        $this->again()->get('/join')->assertOk();
        self::assertSame(2, $written(), 'what is used is not forgotten');
    }

    public function test_what_was_wrong_in_a_form_is_said_once_and_what_was_typed_stays(): void
    {
        $this->newSession();
        $written = $this->counted();
        $this->from('/join')->get('/join')->assertOk();
        $before = $written();
        $this->again()->from('/join')->post('/join', ['code' => 'KMP4R', 'name' => ''])->assertRedirect('/join');
        self::assertGreaterThan($before, $written());
        $this->again()->get('/join')->assertSee('value="KMP4R"', false)->assertSee('problem', false);
        $said = $written();
        $this->again()->get('/join')->assertDontSee('value="KMP4R"', false);
        self::assertGreaterThanOrEqual($said, $written());
    }

    /** The same browser, and nothing of the last request in memory. */
    private function again(): static
    {
        $id = session()->getId();
        $this->app->forgetInstance('session');
        $this->app->forgetInstance('session.store');
        Session::clearResolvedInstances();

        return $this->withCookie(config()->string('session.cookie'), $id);
    }

    /** @return callable(): int how often a session was written until now */
    private function counted(): callable
    {
        $handler = new class() implements SessionHandlerInterface
        {
            public int $written = 0;

            /** @var array<string, string> */
            private array $kept = [];

            public function open(string $path, string $name): bool
            {
                return true;
            }

            public function close(): bool
            {
                return true;
            }

            public function read(string $id): string
            {
                return $this->kept[$id] ?? '';
            }

            public function write(string $id, string $data): bool
            {
                $this->written++;
                $this->kept[$id] = $data;

                return true;
            }

            public function destroy(string $id): bool
            {
                unset($this->kept[$id]);

                return true;
            }

            public function gc(int $lifetime): int
            {
                return 0;
            }
        };
        config(['session.driver' => 'counted']);
        $this->app->resolving('session', static fn ($sessions) => $sessions->extend('counted', static fn () => $handler));
        $this->app->forgetInstance('session');
        $this->app->forgetInstance('session.store');
        Session::clearResolvedInstances();

        return static fn (): int => $handler->written;
    }
}
