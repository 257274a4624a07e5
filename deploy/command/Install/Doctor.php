<?php

declare(strict_types=1);

namespace Deploy\Install;

use Deploy\Console;
use Deploy\Keep\Traces;
use Deploy\Options;
use Deploy\Problem;
use Deploy\Setting;
use PDO;
use PDOException;

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
        if (Setting::isDistrict()) {
            $this->servers();
        } else {
            $this->database("{$root}/storage/data/crag.sqlite");
        }
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
        foreach ($this->databases($root) as $where => [$database, $folder, $run]) {
            $left = [];
            $logs = glob("{$run}/*.{log,out}", GLOB_BRACE) ?: [];
            foreach (array_filter([$id, $name]) as $wanted) {
                array_push(
                    $left,
                    ...Traces::inRows($database, $wanted),
                    ...Traces::inFiles($folder, $wanted),
                    ...array_filter($logs, static fn (string $log): bool => Traces::holds($log, $wanted)),
                );
            }
            $this->check(
                "Nothing of {$id} in {$where}",
                $left === [],
                'There is: '.implode(', ', array_unique($left)),
            );
        }

        return $this->wrong === 0 ? 0 : 1;
    }

    /** @return iterable<string, array{PDO, string, string}> the database, its folder of files and where its logs are */
    private function databases(string $root): iterable
    {
        foreach (glob("{$root}/storage/{data,run/*/data}/crag.sqlite", GLOB_BRACE) ?: [] as $file) {
            $isOwn = dirname($file) === "{$root}/storage/data";
            $run = $isOwn ? "{$root}/storage/run/serve-*" : dirname($file, 2);
            yield $file => [new PDO("sqlite:{$file}"), dirname($file), $run];
        }
        if (Setting::database() !== '') {
            $run = getenv('CRAG_RUN_DIR') ?: "{$root}/storage/run/serve-*";
            yield 'the database of CRAG_DATABASE_URL' => [Traces::server(Setting::database()), Setting::data(), $run];
        }
    }

    private function check(string $what, bool $holds, string $mend): void
    {
        Console::say(($holds ? '  ok    ' : '  WRONG ').$what.($holds ? '' : "\n        {$mend}"));
        $this->wrong += $holds ? 0 : 1;
    }

    /** What several nodes share. */
    private function servers(): void
    {
        $said = '';
        try {
            $version = Traces::server(Setting::database())->getAttribute(PDO::ATTR_SERVER_VERSION);
            $said = version_compare((string) $version, '15', '<') ? "It is PostgreSQL {$version}; it takes 15." : '';
        } catch (PDOException $problem) {
            $said = $problem->getMessage();
        }
        $this->check('PostgreSQL answers', $said === '', $said);
        $redis = (array) parse_url(Setting::redis());
        $socket = @stream_socket_client('tcp://'.($redis['host'] ?? '').':'.($redis['port'] ?? 6379), timeout: 5);
        $this->check('Redis answers', $socket !== false, 'Nothing listens at the address of CRAG_REDIS_URL.');
        $data = Setting::data();
        $isThere = is_dir($data) && is_writable($data);
        $this->check('The shared folder can be written', $isThere, "Mount it at {$data}, or set CRAG_DATA to where it is.");
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
