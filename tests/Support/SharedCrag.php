<?php

declare(strict_types=1);

namespace Tests\Support;

use Deploy\Folder;
use Deploy\Instance;
use Deploy\Port;
use PDO;

/**
 * The Crag that the browser tests of one process use one class after another: starting one costs more than most tests
 * do with it, and at one address browsers keep what they have compiled of its pages. Each class finds it empty.
 */
final class SharedCrag
{
    private static ?Instance $one = null;

    /** @var array<string, string> what it was started with */
    private static array $settings = [];

    private static int $port = 0;

    public static function empty(): Instance
    {
        $isOurs = self::$one !== null && self::$settings === self::settings() && self::answers(self::$one);
        if (self::$one === null || ! $isOurs) {
            self::$one === null ? register_shutdown_function(self::end(...)) : self::end();
            self::$port = self::$port ?: Port::free();
            self::$settings = self::settings();
            self::$one = Instance::fresh('test', '127.0.0.1', self::$port, false);
            self::$one->start();
        } else {
            self::forget(self::$one);
        }

        return self::$one;
    }

    public static function isOne(Instance $instance): bool
    {
        return $instance === self::$one;
    }

    private static function end(): void
    {
        self::$one?->stop();
        self::$one?->removeAll();
    }

    /** A test may have stopped parts of it, or failed while they were stopped. */
    private static function answers(Instance $instance): bool
    {
        $instance->tend();

        return @file_get_contents("{$instance->address()}/up") !== false;
    }

    /** Nothing is left of what one class did: no row, no file, nobody's count of tries. */
    private static function forget(Instance $instance): void
    {
        $database = new PDO("sqlite:{$instance->data}/crag.sqlite", options: [PDO::ATTR_TIMEOUT => 20]);
        $database->exec('begin immediate');
        $tables = $database->query(
            "select name from sqlite_master where type = 'table' and name not like 'sqlite%' and name <> 'migrations'",
        );
        foreach ($tables === false ? [] : $tables->fetchAll(PDO::FETCH_COLUMN) as $table) {
            $database->exec("delete from \"{$table}\"");
        }
        $database->exec('delete from sqlite_sequence');
        $database->exec('commit');
        foreach (glob("{$instance->data}/*", GLOB_ONLYDIR) ?: [] as $folder) {
            if (basename($folder) !== 'tmp') {
                Folder::remove($folder);
            }
        }
        Folder::make("{$instance->data}/web-sessions");
        foreach (["{$instance->run}/cache/data", $instance->environment()['CRAG_COUNTS']] as $folder) {
            Folder::remove($folder);
            Folder::make($folder);
        }
    }

    /** @return array<string, string> */
    private static function settings(): array
    {
        $isOurs = static fn (string $name): bool => str_starts_with($name, 'CRAG_');

        return array_filter(getenv(), $isOurs, ARRAY_FILTER_USE_KEY);
    }
}
