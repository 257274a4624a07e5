<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Database\Postgres;
use App\Live\Health;
use Exception;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionProperty;
use Tests\Support\CragTestCase;

final class HealthTest extends CragTestCase
{
    public function test_up_says_that_work_is_stored_and_stores_nothing_itself(): void
    {
        $this->get('/up')->assertOk()->assertContent('up');
        self::assertSame(0, DB::table('invitations')->count());
    }

    public function test_a_database_that_takes_nothing_is_said_to_the_page_and_to_whoever_watches(): void
    {
        $this->onlyIn('sqlite');
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session, 'Tamsin');
        DB::statement('PRAGMA query_only = 1');
        try {
            $this->get('/up')->assertStatus(503)->assertContent('The server’s database can’t be written to.');
            $this->getJson('/health')
                ->assertStatus(503)
                ->assertJsonPath('ok', false)
                ->assertJsonPath('database', 'The server’s database can’t be written to.');
            $this->asStudent($seat, $token)
                ->postJson("/seat/{$seat->id}/operations", [
                    'canvas' => $this->canvasOf($seat)->id,
                    'operations' => [$this->stroke()],
                ])
                ->assertStatus(503)
                ->assertJsonPath('message', 'The server’s database can’t be written to.');
            // The desk goes on showing the class, though who was seen cannot be written down.
            $this->published->listening["seat.{$seat->id}"] = 1;
            $this->asTeacher()
                ->getJson("/desk/{$session->id}/prompt/{$session->prompt_id}/states")
                ->assertOk()
                ->assertJsonCount(1, 'states');
        } finally {
            DB::statement('PRAGMA query_only = 0');
        }
        $this->get('/up')->assertOk();
    }

    /** @return iterable<string, array{string, ?string}> */
    public static function faults(): iterable
    {
        yield 'full' => ['SQLSTATE[HY000]: General error: 13 database or disk is full', 'its disk is full or broken'];
        yield 'broken' => ['SQLSTATE[HY000]: General error: 10 disk I/O error', 'its disk is full or broken'];
        yield 'locked' => ['SQLSTATE[HY000]: General error: 5 database is locked', 'is locked'];
        yield 'damaged' => ['SQLSTATE[HY000]: General error: 11 database disk image is malformed', 'is damaged'];
        yield 'no database' => ['SQLSTATE[HY000]: General error: 26 file is not a database', 'is damaged'];
        yield 'another' => ['SQLSTATE[HY000]: General error: 1 no such column: x', null];
    }

    #[DataProvider('faults')]
    public function test_a_fault_of_the_database_is_said_in_a_sentence(string $message, ?string $said): void
    {
        $this->onlyIn('sqlite');
        Route::get('/fails', static fn () => throw new PDOException($message));
        $answer = $this->getJson('/fails');
        self::assertSame($said === null ? 500 : 503, $answer->status());
        if ($said === null) {
            self::assertNull(Health::said(new PDOException($message)));
        } else {
            self::assertStringContainsString($said, (string) $answer->json('message'));
        }
    }

    /** @return iterable<string, array{string, ?string}> */
    public static function faultsOfAServer(): iterable
    {
        yield 'full' => ['53100', 'its disk is full or broken'];
        yield 'a lock in vain' => ['55P03', 'is locked'];
        yield 'damaged' => ['XX001', 'is damaged'];
        yield 'one that copies another' => ['25006', 'can’t be written to'];
        yield 'stopped' => ['57P01', 'can’t reach its database'];
        yield 'not there' => ['08006', 'can’t reach its database'];
        yield 'another' => ['42703', null];
    }

    #[DataProvider('faultsOfAServer')]
    public function test_a_fault_of_the_database_server_is_said_in_a_sentence(string $code, ?string $said): void
    {
        $fault = new PDOException("SQLSTATE[{$code}]");
        (new ReflectionProperty(Exception::class, 'code'))->setValue($fault, $code);
        $is = (new Postgres())->said($fault);
        self::assertSame($said === null, $is === null);
        self::assertStringContainsString((string) $said, (string) $is);
    }

    public function test_metrics_are_counted_and_name_nobody(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session, 'Tamsin');
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $this->canvasOf($seat)->id,
            'operations' => [$this->stroke(), $this->stroke()],
        ]);
        $file = config()->string('crag.run').'/stored.log';
        File::ensureDirectoryExists(dirname($file));
        $now = now()->getTimestamp();
        File::put(
            $file,
            implode("\n", [
                'ut in two',
                ...array_map(static fn (int $i): string => "{$now}.000 0.0{$i} 200", range(10, 49)),
                "{$now}.000 9.000 503",
                $now - 900 .'.000 9.000 200',
            ])."\n",
        );
        $text = (string) $this->asNobody()
            ->get('/metrics')
            ->assertOk()
            ->assertHeader('Content-Type', 'text/plain; version=0.0.4; charset=utf-8')
            ->getContent();
        File::delete($file);
        foreach (
            [
                'crag_sessions_running 1',
                'crag_seats 1',
                'crag_operations 2',
                'crag_stored_requests 40',
                'crag_store_seconds{quantile="0.5"} 0.03',
                'crag_store_seconds{quantile="0.95"} 0.048',
                'crag_queue_jobs 0',
                'crag_part_up{part="database"} 1',
            ] as $line
        ) {
            self::assertStringContainsString("{$line}\n", $text);
        }
        self::assertSame(0, preg_match("/{$seat->id}|{$session->id}|Tamsin/", $text));
        foreach (explode("\n", trim($text)) as $line) {
            self::assertMatchesRegularExpression(
                '/\A(# (HELP|TYPE) [a-z_]+ .+|[a-z_]+(\{[a-z]+="[a-z0-9.]+"\})? (\d+(\.\d+)?(e-?\d+)?|NaN))\z/i',
                $line,
            );
        }
    }
}
