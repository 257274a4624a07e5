<?php

declare(strict_types=1);

namespace Deploy\Keep;

use Deploy\Console;
use Deploy\Folder;
use Deploy\Options;
use Deploy\Problem;
use Deploy\Setting;
use Deploy\Shell;
use FilesystemIterator;
use PDO;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * Everything that is kept, in one file (tar, gzip), made while Crag runs: the database as it stands at one moment,
 * pictures of plans and sessions, records, the application's key. Nothing that is made anew by itself. What is written
 * is read again and compared before it counts as made.
 */
final class Backup
{
    /** Made anew, of this machine alone, or of no use elsewhere. */
    private const LEFT_OUT = '#\A(?:crag\.sqlite|tmp/|web-sessions/|backups/|lock\z|lock-|to-rewrite\z|mails\.log\z|lost\+found)#';

    private const VERSION = 1;

    public function run(Options $options): int
    {
        $into = $options->text('into', '');
        $file =
            $into === ''
                ? $options->words[0] ??
                    throw new Problem(
                        'Where to? ./crag backup FILE.tar.gz, or ./crag backup --into=FOLDER [--keep=14].',
                    )
                : rtrim($into, '/').'/crag-'.date('Y-m-d-His').'.tar.gz';
        $made = self::make(Setting::data(), $file);
        if ($into !== '') {
            self::prune($into, $options->whole('keep', 14, 1, 1000));
        }
        Console::say(
            "{$file}: {$made['files']} files, {$made['rows']} rows, ".
                number_format($made['bytes'] / 1e6, 1).
                ' MB, read again and compared.',
        );
        Console::say('It holds names, work and the key of this installation: keep it as you keep those.');

        return 0;
    }

    /** @return array{files: int, rows: int, bytes: int} */
    public static function make(string $data, string $file): array
    {
        if (Setting::database() === '' && ! is_file("{$data}/crag.sqlite")) {
            throw new Problem("There is no database in {$data}.");
        }
        $folder = dirname($file);
        if (! is_dir($folder)) {
            Folder::make($folder);
        }
        $staging = self::staging($folder);
        $part = "{$file}.part";
        try {
            self::copyDatabase($data, "{$staging}/crag.sqlite");
            $manifest = [
                'version' => self::VERSION,
                'made_at' => date(DATE_ATOM),
                'rows' => self::rows("{$staging}/crag.sqlite"),
                'files' => ['crag.sqlite' => hash_file('sha256', "{$staging}/crag.sqlite")],
            ];
            foreach (self::files($data) as $name) {
                // One that is forgotten while the others are read is gone, and that is right.
                $hash = @hash_file('sha256', "{$data}/{$name}");
                if ($hash !== false) {
                    $manifest['files'][$name] = $hash;
                }
            }
            file_put_contents(
                "{$staging}/manifest.json",
                json_encode($manifest, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT),
            );
            file_put_contents(
                "{$staging}/names",
                implode("\n", array_diff(array_keys($manifest['files']), ['crag.sqlite'])),
            );
            touch($part);
            chmod($part, 0o600);
            Shell::run(
                [
                    'tar',
                    '-czf',
                    $part,
                    '-C',
                    $staging,
                    'manifest.json',
                    'crag.sqlite',
                    '-C',
                    $data,
                    '--ignore-failed-read',
                    '--warning=no-file-changed',
                    '-T',
                    "{$staging}/names",
                ],
                $staging,
            );
            $read = self::unpack($part, self::staging($folder));
            Folder::remove($read);
            rename($part, $file);
            chmod($file, 0o600);

            return [
                'files' => count($manifest['files']),
                'rows' => array_sum($manifest['rows']),
                'bytes' => (int) filesize($file),
            ];
        } finally {
            Folder::remove($staging);
            @unlink($part);
        }
    }

    /** As it stands at one moment, in one file, whatever it lives in. */
    private static function copyDatabase(string $data, string $file): void
    {
        if (Setting::database() !== '') {
            MoveTo::carry(Setting::database(), $file);

            return;
        }
        $database = self::open("{$data}/crag.sqlite");
        $database->exec('VACUUM INTO '.$database->quote($file));
    }

    /**
     * Unpacks a backup into a folder and compares what came out with what it says of itself.
     *
     * @return string the folder
     *
     * @throws Problem if anything is missing, changed or damaged
     */
    public static function unpack(string $file, string $into): string
    {
        try {
            if (! is_file($file)) {
                throw new Problem("There is no file {$file}.");
            }
            Shell::run(['tar', '-xzf', $file, '--no-same-owner', '--no-same-permissions', '-C', $into], $into);
            $manifest = json_decode((string) @file_get_contents("{$into}/manifest.json"), true);
            if (! is_array($manifest) || ! is_array($manifest['files'] ?? null) || ! is_array($manifest['rows'] ?? null)) {
                throw new Problem("{$file} is no backup of Crag.");
            }
            if (($manifest['version'] ?? 0) > self::VERSION) {
                throw new Problem("{$file} was made by a newer Crag. Install that one, then restore.");
            }
            foreach ($manifest['files'] as $name => $hash) {
                if (! is_file("{$into}/{$name}") || hash_file('sha256', "{$into}/{$name}") !== $hash) {
                    throw new Problem("{$file} is damaged: {$name} is missing or not as it was.");
                }
            }
            $sound = self::open("{$into}/crag.sqlite")->query('pragma integrity_check');
            if (
                $sound === false ||
                $sound->fetchColumn() !== 'ok' ||
                self::rows("{$into}/crag.sqlite") !== $manifest['rows']
            ) {
                throw new Problem("{$file} is damaged: its database is not sound.");
            }
            unlink("{$into}/manifest.json");

            return $into;
        } catch (Problem $problem) {
            Folder::remove($into);
            throw $problem;
        }
    }

    public static function staging(string $folder): string
    {
        $staging = "{$folder}/.crag-backup-".bin2hex(random_bytes(6));
        Folder::make($staging);

        return $staging;
    }

    private static function prune(string $folder, int $keep): void
    {
        $made = glob(rtrim($folder, '/').'/crag-*.tar.gz') ?: [];
        rsort($made);
        array_map(unlink(...), array_slice($made, $keep));
    }

    /** @return list<string> names within the folder */
    private static function files(string $data): array
    {
        $names = [];
        /** @var SplFileInfo $file */
        foreach (
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator($data, FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            $name = substr($file->getPathname(), strlen($data) + 1);
            if ($file->isFile() && preg_match(self::LEFT_OUT, $name) !== 1) {
                $names[] = $name;
            }
        }
        sort($names);

        return $names;
    }

    /** @return array<string, int> rows by table */
    private static function rows(string $file): array
    {
        $database = self::open($file);
        $rows = [];
        foreach (
            self::column(
                $database,
                "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name",
            ) as $table
        ) {
            $rows[$table] = (int) self::column($database, "select count(*) from \"{$table}\"")[0];
        }

        return $rows;
    }

    /** @return list<string> */
    private static function column(PDO $database, string $query): array
    {
        $found = $database->query($query);

        return $found === false ? [] : array_map(strval(...), $found->fetchAll(PDO::FETCH_COLUMN));
    }

    private static function open(string $file): PDO
    {
        $database = new PDO("sqlite:{$file}");
        $database->exec('pragma busy_timeout = 20000');

        return $database;
    }
}
