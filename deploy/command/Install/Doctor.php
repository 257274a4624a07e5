<?php

declare(strict_types=1);

namespace Deploy\Install;

use Deploy\Console;
use Deploy\Options;
use Deploy\Problem;
use Deploy\Setting;
use FilesystemIterator;
use PDO;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Says what is missing or wrong, and how to mend it. Changes nothing. */
final class Doctor
{
    private int $wrong = 0;

    public function run(Options $options): int
    {
        if ($options->has('forgotten')) {
            return $this->forgotten($options->text('forgotten', $options->words[0] ?? ''), $options->text('name', ''));
        }
        $root = Setup::root();
        $packages = Requirements::missingPackages(Needs::Run);
        $this->check(
            'Debian packages',
            $packages === [],
            'apt-get install -y --no-install-recommends '.implode(' ', $packages),
        );
        $browser = array_diff(Requirements::missingPackages(Needs::Tests), $packages);
        $this->check(
            'Browser and office program for tests and pictures',
            $browser === [],
            'apt-get install -y --no-install-recommends '.implode(' ', $browser).' (./crag test does it)',
        );
        $programs = Requirements::missingPrograms();
        $this->check('Composer, Node.js and npm', $programs === [], 'Install '.implode(', ', $programs).'.');
        $this->check('PHP packages', is_file("{$root}/vendor/autoload.php"), './crag serve installs them.');
        $this->check('Browser packages', is_dir("{$root}/node_modules/bootstrap"), './crag serve installs them.');
        $this->check('Built pages', is_file("{$root}/public/build/manifest.json"), './crag serve builds them.');
        $this->check(
            'The storage folder can be written',
            is_writable("{$root}/storage"),
            "chown -R \$(id -un) {$root}/storage",
        );
        $socket = strlen("{$root}/storage/run/serve-65535/php-watch.sock");
        $this->check(
            'The path is short enough for sockets',
            $socket <= 107,
            'Move the project to a folder with a shorter path.',
        );
        $free = disk_free_space($root);
        $this->check('Room on the disk', $free !== false && $free > 500e6, 'Less than 500 MB are free; make room.');
        $this->database("{$root}/storage/data/crag.sqlite");
        $this->ports();
        $this->offline();
        Console::say($this->wrong === 0 ? 'Nothing is wrong.' : "{$this->wrong} to mend.");

        return $this->wrong === 0 ? 0 : 1;
    }

    /** Browsers let a page keep itself for want of a network only over https, or on the machine itself. */
    private function offline(): void
    {
        if (Setting::url() !== '' && ! str_starts_with(Setting::url(), 'https://')) {
            Console::say('  Note: students’ pages open without a network only over https. Put a certificate before '
                .Setting::url().' and set CRAG_URL to its https address (docs/operating.md).');
        }
    }

    /**
     * Looks for anything that is left of a session or a student: rows, and files, the write-ahead log and the logs
     * among them.
     *
     * @param  string  $name  of the student, to be looked for as well; empty for none
     */
    private function forgotten(string $id, string $name): int
    {
        $root = Setup::root();
        if (preg_match('/\A[0-9A-Za-z]{20,30}\z/', $id) !== 1) {
            throw new Problem(
                'Which session? ./crag doctor --forgotten=ID, the ID as it stood in the address of its desk.',
            );
        }
        foreach (glob("{$root}/storage/{data,run/*/data}/crag.sqlite", GLOB_BRACE) ?: [] as $file) {
            $database = new PDO("sqlite:{$file}");
            $left = [];
            $run = dirname($file) === "{$root}/storage/data" ? "{$root}/storage/run/serve-*" : dirname($file, 2);
            $logs = glob("{$run}/*.{log,out}", GLOB_BRACE) ?: [];
            foreach (array_filter([$id, $name]) as $wanted) {
                array_push(
                    $left,
                    ...$this->rowsNaming($database, $wanted),
                    ...$this->filesNaming(dirname($file), $wanted),
                );
                array_push($left, ...array_filter($logs, fn (string $log): bool => $this->holds($log, $wanted)));
            }
            $this->check(
                "Nothing of {$id} in {$file}",
                $left === [],
                'There is: '.implode(', ', array_unique($left)),
            );
        }

        return $this->wrong === 0 ? 0 : 1;
    }

    /** @return list<string> columns in which something holds it, and how many rows */
    private function rowsNaming(PDO $database, string $wanted): array
    {
        $left = [];
        foreach (
            $this->all($database, "select name from sqlite_master where type = 'table' and name not like 'sqlite_%'") as $table
        ) {
            foreach ($this->all($database, "select name from pragma_table_info('{$table}')") as $column) {
                $rows = $this->all(
                    $database,
                    "select count(*) from \"{$table}\" where instr(lower(cast(\"{$column}\" as text)), lower(".
                        $database->quote($wanted).
                        ')) > 0',
                )[0];
                if ((int) $rows !== 0) {
                    $left[] = "{$table}.{$column} ({$rows})";
                }
            }
        }

        return $left;
    }

    /** Whether a file holds it, read piece by piece. */
    private function holds(string $file, string $wanted): bool
    {
        $handle = @fopen($file, 'r');
        $before = '';
        while ($handle !== false && ! feof($handle)) {
            $piece = $before.fread($handle, 1 << 20);
            if (stripos($piece, $wanted) !== false) {
                return true;
            }
            $before = substr($piece, -strlen($wanted));
        }

        return false;
    }

    /** @return list<string> files and folders below one whose name or content holds the id */
    private function filesNaming(string $folder, string $id): array
    {
        $found = [];
        $all = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
            RecursiveIteratorIterator::SELF_FIRST,
        );
        foreach ($all as $path => $one) {
            assert($one instanceof SplFileInfo);
            // The write-ahead log too. What lies in unused parts of the database itself goes when it is written anew.
            if ($one->getFilename() === 'crag.sqlite') {
                if ($this->holds((string) $path, $id)) {
                    Console::say(
                        "  -     Unused parts of {$path} hold {$id} still: it is written anew when no session runs.",
                    );
                }

                continue;
            }
            if (stripos($one->getFilename(), $id) !== false || ($one->isFile() && $this->holds((string) $path, $id))) {
                $found[] = (string) $path;
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function all(PDO $database, string $query): array
    {
        $found = $database->query($query);

        return $found === false ? [] : array_map(strval(...), $found->fetchAll(PDO::FETCH_COLUMN));
    }

    private function check(string $what, bool $holds, string $mend): void
    {
        Console::say(($holds ? '  ok    ' : '  WRONG ').$what.($holds ? '' : "\n        {$mend}"));
        $this->wrong += $holds ? 0 : 1;
    }

    private function database(string $file): void
    {
        if (! is_file($file) || ! extension_loaded('pdo_sqlite')) {
            Console::say('  -     No data yet in storage/data');

            return;
        }
        $found = (new PDO("sqlite:{$file}"))->query('pragma quick_check');
        $answer = $found === false ? 'it cannot be read' : $found->fetchColumn();
        $this->check(
            'The database is sound',
            $answer === 'ok',
            "SQLite says: {$answer}. Restore the last backup (docs/operating.md).",
        );
    }

    /** Instances that left their marks: running, or killed. */
    private function ports(): void
    {
        foreach (glob(Setup::root().'/storage/run/*/nginx.started') ?: [] as $file) {
            $name = basename(dirname($file));
            $runs = is_dir('/proc/'.(int) file_get_contents($file));
            $this->check(
                "Instance {$name} ".($runs ? 'is running' : 'was killed'),
                $runs,
                'Its next start puts that right.',
            );
        }
    }
}
