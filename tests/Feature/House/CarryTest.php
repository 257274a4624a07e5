<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Database\CannotCarryOver;
use App\Database\CarryOver;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use PDO;
use Symfony\Component\Process\Process;
use Tests\Support\CragTestCase;

/** Everything goes from one database into another and back, and is what it was. */
final class CarryTest extends CragTestCase
{
    private string $of;

    /** The demo's data, made once. */
    private static ?string $made = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->of = sys_get_temp_dir().'/crag-carry-'.getmypid();
        @mkdir($this->of);
    }

    protected function tearDown(): void
    {
        array_map(DB::purge(...), ['from', 'to']);
        if (DB::connection()->getDriverName() === 'pgsql') {
            $this->server()->exec("drop database if exists {$this->database()} with (force)");
        }
        array_map(unlink(...), glob("{$this->of}/*") ?: []);
        rmdir($this->of);
        parent::tearDown();
    }

    public function test_the_demos_data_goes_to_the_other_database_and_back_and_is_equal(): void
    {
        $first = $this->withDemo();
        $between = $this->place();
        self::assertSame(0, $this->artisan('crag:carry', ['from' => $first, 'to' => $between]));
        self::assertSame(0, $this->artisan('crag:carry', ['from' => $between, 'to' => "{$this->of}/back.sqlite"]));
        $before = self::all($first);
        self::assertGreaterThan(100, array_sum(array_map(count(...), $before)));
        self::assertSame($before, self::all("{$this->of}/back.sqlite"));
        // What comes after gets a number that is free.
        $this->open('to', $between)->table('failed_jobs')->insert([
            ['uuid' => 'a', 'connection' => 'c', 'queue' => 'q', 'payload' => 'p', 'exception' => 'e'],
        ]);
        self::assertNotSame([], $before['plan_edits']);
        $edit = $before['plan_edits'][0];
        unset($edit['id']);
        $to = $this->open('to', $between);
        $id = $to->table('plan_edits')->insertGetId(['n' => 9999] + $edit);
        self::assertGreaterThan(max(array_column($before['plan_edits'], 'id')), $id);
    }

    public function test_what_has_something_in_it_is_left_alone(): void
    {
        $first = $this->withDemo();
        $between = $this->place();
        $this->artisan('crag:carry', ['from' => $first, 'to' => $between]);
        self::assertSame(1, $this->artisan('crag:carry', ['from' => $first, 'to' => $between]));
        $this->expectException(CannotCarryOver::class);
        (new CarryOver($this->open('from', $first), $this->open('to', $between)))();
    }

    public function test_what_another_version_made_or_what_is_under_way_is_not_carried(): void
    {
        $first = $this->withDemo();
        $from = $this->open('from', $first);
        $from->table('jobs')->insert(
            ['queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => 0, 'created_at' => 0],
        );
        $go = fn (): int => $this->artisan('crag:carry', ['from' => $first, 'to' => $this->place()]);
        $busy = $go();
        $from->table('jobs')->delete();
        $from->table('migrations')->insert(['migration' => '2099_01_01_000001_of_tomorrow', 'batch' => 9]);
        self::assertSame([1, 1], [$busy, $go()]);
    }

    /** @return string an SQLite file with the demo's data */
    private function withDemo(): string
    {
        $file = "{$this->of}/first.sqlite";
        if (self::$made === null) {
            touch($file);
            $environment = ['DB_DATABASE' => $file, 'CRAG_DATABASE_URL' => '', 'CRAG_TEST_SERVER' => ''];
            foreach ([['migrate', '--force'], ['crag:demo']] as $command) {
                (new Process([PHP_BINARY, 'artisan', ...$command], base_path(), $environment))->mustRun();
            }
            // All of it in one file, for the tests that follow.
            (new PDO("sqlite:{$file}"))->exec('pragma wal_checkpoint(truncate)');
            self::$made = (string) file_get_contents($file);
        }
        file_put_contents($file, self::$made);

        return $file;
    }

    /** Where nothing is yet: on the server, or in a file. */
    private function place(): string
    {
        if (DB::connection()->getDriverName() !== 'pgsql') {
            return "{$this->of}/between.sqlite";
        }
        $this->server()->exec("drop database if exists {$this->database()} with (force)");
        $this->server()->exec("create database {$this->database()}");

        return getenv('CRAG_TEST_SERVER')."/{$this->database()}";
    }

    private function database(): string
    {
        return 'carry_'.(getenv('TEST_TOKEN') ?: '1');
    }

    private function server(): PDO
    {
        $config = DB::connection()->getConfig();

        return new PDO("pgsql:host={$config['host']};port={$config['port']};dbname=postgres;user={$config['username']}");
    }

    private function open(string $name, string $where): Connection
    {
        $kind = str_contains($where, '://') ? 'pgsql' : 'sqlite';
        $given = $kind === 'pgsql' ? ['url' => $where] : ['database' => $where];
        config(["database.connections.{$name}" => $given + config()->array("database.connections.{$kind}")]);
        DB::purge($name);

        return DB::connection($name);
    }

    /** @return array<string, list<array<string, mixed>>> rows by table */
    private static function all(string $file): array
    {
        $database = new PDO("sqlite:{$file}");
        $tables = $database->query("select name from sqlite_master where type = 'table' and name not like 'sqlite%' order by name")
            ->fetchAll(PDO::FETCH_COLUMN);
        $rows = [];
        foreach (array_diff($tables, ['migrations']) as $table) {
            $found = $database->query("select * from \"{$table}\"")->fetchAll(PDO::FETCH_ASSOC);
            array_walk($found, static fn (array &$row) => ksort($row));
            usort($found, static fn (array $a, array $b): int => serialize($a) <=> serialize($b));
            $rows[$table] = $found;
        }

        return $rows;
    }
}
