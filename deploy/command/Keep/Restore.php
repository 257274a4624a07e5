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
        $locks = DataLock::takeAll($data);
        $fresh = Backup::unpack($file, Backup::staging(dirname($data)));
        if (Setting::database() !== '') {
            try {
                MoveTo::carry("{$fresh}/crag.sqlite", Setting::database());
                unlink("{$fresh}/crag.sqlite");
            } catch (Problem $problem) {
                Folder::remove($fresh);
                throw $problem;
            }
        }
        $aside = is_file("{$data}/crag.sqlite") || is_file("{$data}/app.key") ? "{$data}-before-".date('Y-m-d-His') : null;
        if ($aside === null) {
            Folder::remove($data);
        } else {
            rename($data, $aside);
        }
        rename($fresh, $data);
        array_map(fclose(...), $locks);

        return $aside;
    }
}
