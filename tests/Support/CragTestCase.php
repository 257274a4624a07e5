<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Live\Publisher;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Device;
use App\Models\Teachers\Teacher;
use App\Sessions\Life\StartSession;
use App\Sessions\Room\TakeSeat;
use Crag\Canvas\Drawing\Ink;
use Crag\Session\Door\PersonName;
use Deploy\Folder;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** The application with an empty database and a publisher that remembers instead of sending. */
abstract class CragTestCase extends TestCase
{
    use RefreshDatabase;

    /** @var bool commands run as they are: mocking their output would need another package */
    public $mockConsoleOutput = false;

    protected RememberingPublisher $published;

    private string $folder;

    public function createApplication(): Application
    {
        $this->folder = sys_get_temp_dir().'/crag-test-'.getmypid();
        if (! is_dir($this->folder)) {
            // Compiled views serve all tests of this process: making them costs more than most tests.
            register_shutdown_function(Folder::remove(...), $this->folder);
        }
        foreach (['data/web-sessions', 'cache/views', 'cache/data'] as $one) {
            if (! is_dir("{$this->folder}/{$one}")) {
                mkdir("{$this->folder}/{$one}", 0o700, true);
            }
        }
        $environment = [
            'APP_ENV' => 'testing',
            'APP_KEY' => 'base64:'.base64_encode(str_repeat('k', 32)),
            'DB_DATABASE' => ':memory:',
            'CRAG_DATABASE_URL' => self::server(),
            'CRAG_RUN' => $this->folder,
            'CRAG_DATA' => "{$this->folder}/data",
            'QUEUE_CONNECTION' => 'sync',
            'CACHE_STORE' => 'array',
            'SESSION_DRIVER' => 'array',
            'CRAG_DEMO' => 'true',
            'BCRYPT_ROUNDS' => '4',
        ];
        foreach (['CONFIG', 'ROUTES', 'EVENTS', 'SERVICES', 'PACKAGES'] as $cache) {
            $environment["APP_{$cache}_CACHE"] = "{$this->folder}/cache/".strtolower($cache).'.php';
        }
        foreach ($environment as $name => $value) {
            putenv("{$name}={$value}");
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
        /** @var Application $app */
        $app = require __DIR__.'/../../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    /** The server of `./crag test app --database=pgsql`, a database for each process; empty for SQLite in memory. */
    private static function server(): string
    {
        $server = (string) getenv('CRAG_TEST_SERVER');

        return $server === '' ? '' : $server.'/crag_'.(getenv('TEST_TOKEN') ?: '1');
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->published = new RememberingPublisher();
        $this->app->instance(Publisher::class, $this->published);
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        foreach (glob("{$this->folder}/{data,cache/data}", GLOB_BRACE) ?: [] as $left) {
            Folder::remove($left);
        }
        array_map(unlink(...), glob("{$this->folder}/*.log") ?: []);
    }

    /** What only this kind of database can be asked to do: sqlite or pgsql. */
    protected function onlyIn(string $driver): void
    {
        if (DB::connection()->getDriverName() !== $driver) {
            self::markTestSkipped("Of {$driver} alone.");
        }
    }

    /** A running session and the cookies of the teacher's device. */
    protected function newSession(string $title = 'Bridges and Beams'): LiveSession
    {
        return app(StartSession::class)($this->teacher(), $title);
    }

    protected function teacher(string $token = 'the-teacher'): Teacher
    {
        $hash = hash('sha256', $token);
        $device =
            Device::query()->find($hash) ??
            Teacher::query()
                ->create(['name' => 'Ms Okafor-Lind'])
                ->devices()
                ->create(['token_hash' => $hash]);

        return $device->teacher()->firstOrFail();
    }

    protected function asTeacher(string $token = 'the-teacher'): static
    {
        $this->teacher($token);

        return $this->as(['crag_teacher' => $token]);
    }

    /** @return array{Seat, string} the seat and its token */
    protected function seat(LiveSession $session, string $name = 'Tamsin'): array
    {
        return app(TakeSeat::class)($session->refresh(), PersonName::read($name));
    }

    protected function asStudent(Seat $seat, string $token): static
    {
        return $this->as([Seat::cookieFor($seat->live_session_id) => $token]);
    }

    protected function asScreen(LiveSession $session): static
    {
        return $this->as(['crag_screen_'.strtolower($session->id) => $session->screen_key]);
    }

    protected function asNobody(): static
    {
        return $this->as([]);
    }

    protected function canvasOf(Seat $seat): Canvas
    {
        return $seat->canvases()->latest('id')->firstOrFail();
    }

    /**
     * What the student's page sends when it is drawn on.
     *
     * @param  mixed  ...$operations  each in its JSON form, or what is none
     * @return TestResponse<Response>
     */
    protected function appendAs(Seat $seat, string $token, mixed ...$operations): TestResponse
    {
        return $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $this->canvasOf($seat)->id,
            'operations' => array_values($operations),
        ]);
    }

    /** @return array<string, mixed> a stroke's operation in its JSON form */
    protected function stroke(?string $id = null, int $x = 2000): array
    {
        return [
            'id' => $id ?? Str::random(20),
            'kind' => 'add',
            'layer' => 'student',
            'at' => 1_700_000_000_000,
            'body' => [
                'object' => [
                    'type' => 'stroke',
                    'colour' => '#25323b',
                    'width' => 40,
                    'ink' => Ink::of([
                        [$x, 3000, 128, 0],
                        [$x + 800, 3600, 128, 16],
                        [$x + 1600, 3000, 128, 32],
                    ])->encode(),
                ],
            ],
        ];
    }

    /** @param  array<string, string>  $cookies */
    private function as(array $cookies): static
    {
        $this->defaultCookies = [];
        $this->unencryptedCookies = [];
        $this->withCookies($cookies)->withCredentials();

        return $this;
    }
}
