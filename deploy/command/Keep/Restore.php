<?php

declare(strict_types=1);

namespace Deploy\Keep;

use Deploy\Console;
use Deploy\Folder;
use Deploy\Options;
use Deploy\Problem;
use Deploy\Setting;

/** Puts a backup where the data lives. What is there before is set aside, never overwritten. */
final class Restore
{
    public function run(Options $options): int
    {
        $file = $options->words[0] ?? throw new Problem('From where? ./crag restore FILE.tar.gz');
        $data = Setting::data();
        $aside = self::from($file, $data);
        Console::say("Restored into {$data}.".($aside === null ? '' : " What was there before is in {$aside}."));
        Console::say('Start Crag as usual: its tables are brought up to date as it starts.');

        return 0;
    }

    /** @return ?string where what was there before is now; null if there was nothing */
    public static function from(string $file, string $data): ?string
    {
        $file = realpath($file) ?: throw new Problem("There is no file {$file}.");
        $data = rtrim($data, '/');
        Folder::make($data);
        $lock = fopen("{$data}/lock", 'c+e');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            throw new Problem("Crag is running on {$data}. Stop it first.");
        }
        $fresh = Backup::unpack($file, Backup::staging(dirname($data)));
        $aside = is_file("{$data}/crag.sqlite") ? "{$data}-before-".date('Y-m-d-His') : null;
        if ($aside === null) {
            Folder::remove($data);
        } else {
            rename($data, $aside);
        }
        rename($fresh, $data);
        fclose($lock);

        return $aside;
    }
}
