<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Bench\BenchDistrictFaults;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Keep\Traces;
use Deploy\Shared\Postgres;
use PDO;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Two nodes behind a front, with PostgreSQL and Redis; and how data comes there and back. */
final class DistrictTest extends TestCase
{
    /** A short run of what `./crag bench district-faults` does. */
    public function test_whatever_breaks_among_several_machines_loses_no_stroke_and_keeps_none_twice(): void
    {
        $found = (new BenchDistrictFaults(2, 13, 4, 7))->measure();
        self::assertSame(13, $found['faults']);
        self::assertNotContains(0, $found['kinds'], 'each kind came');
        self::assertGreaterThan(20, $found['acknowledged']);
        foreach (['lost', 'twice', 'disagreements', 'never_answered'] as $what) {
            self::assertSame(0, $found[$what], $what);
        }
    }

    public function test_data_moves_to_a_server_is_backed_up_and_restored_there_and_comes_back(): void
    {
        $folder = sys_get_temp_dir().'/crag-move-'.getmypid();
        Folder::make("{$folder}/first");
        touch("{$folder}/first/crag.sqlite");
        file_put_contents("{$folder}/first/app.key", 'base64:the key');
        $server = (new Postgres())->start()->make('crag', 'other');
        $redis = 'redis://127.0.0.1:1';
        try {
            $seed = [
                'APP_KEY' => 'base64:'.base64_encode(str_repeat('k', 32)),
                'CRAG_DEMO' => 'true',
                'CRAG_DATA' => "{$folder}/first",
                'CRAG_RUN' => "{$folder}/run",
                'DB_DATABASE' => "{$folder}/first/crag.sqlite",
            ];
            foreach ([['migrate', '--force'], ['crag:demo']] as $command) {
                (new Process([PHP_BINARY, 'artisan', ...$command], Setup::root(), $seed))->mustRun();
            }
            $before = self::all("{$folder}/first/crag.sqlite");
            $said = $this->crag(['move-to', $server->url()], "{$folder}/first");
            self::assertStringContainsString('read again and compared', $said);
            $there = ['CRAG_DATABASE_URL' => $server->url(), 'CRAG_REDIS_URL' => $redis];
            self::assertNotSame([], Traces::inRows(Traces::server($server->url()), 'Okafor'));
            self::assertSame([], Traces::inRows(Traces::server($server->url()), 'Nobody of that name'));
            $this->crag(['backup', "{$folder}/backup.tar.gz"], "{$folder}/first", $there);
            $other = ['CRAG_DATABASE_URL' => "{$server->address()}/other"] + $there;
            $this->crag(['restore', "{$folder}/backup.tar.gz"], "{$folder}/second", $other);
            self::assertFileDoesNotExist("{$folder}/second/crag.sqlite");
            self::assertStringEqualsFile("{$folder}/second/app.key", 'base64:the key');
            // What holds data already is not written over.
            self::assertSame(1, $this->go(['restore', "{$folder}/backup.tar.gz"], "{$folder}/third", $other)->getExitCode());
            self::assertFileDoesNotExist("{$folder}/third/app.key");
            $this->crag(['move-to', 'sqlite'], "{$folder}/second", $other);
            self::assertSame($before, self::all("{$folder}/second/crag.sqlite"));
        } finally {
            $server->stop();
            Folder::remove($folder);
        }
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    private function crag(array $command, string $data, array $environment = []): string
    {
        $process = $this->go($command, $data, $environment);
        self::assertSame(0, $process->getExitCode(), $process->getOutput().$process->getErrorOutput());

        return $process->getOutput();
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    private function go(array $command, string $data, array $environment): Process
    {
        $environment += ['CRAG_DATA' => $data, 'CRAG_RUN_DIR' => "{$data}-run"];
        $process = new Process([PHP_BINARY, 'crag', ...$command], Setup::root(), $environment, timeout: 120);
        $process->run();

        return $process;
    }

    /** @return array<string, list<array<string, mixed>>> rows by table */
    private static function all(string $file): array
    {
        $database = new PDO("sqlite:{$file}");
        $names = "select name from sqlite_master where type = 'table' and name not like 'sqlite%' order by name";
        $rows = [];
        foreach ($database->query($names)->fetchAll(PDO::FETCH_COLUMN) as $table) {
            $found = $database->query("select * from \"{$table}\"")->fetchAll(PDO::FETCH_ASSOC);
            array_walk($found, static fn (array &$row) => ksort($row));
            usort($found, static fn (array $a, array $b): int => serialize($a) <=> serialize($b));
            $rows[$table] = $table === 'migrations' ? array_column($found, 'migration') : $found;
        }

        return $rows;
    }
}
