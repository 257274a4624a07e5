<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Database\Wipe;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Tests\Support\CragTestCase;

/** What was deleted is nowhere in the database's files. */
final class WipeTest extends CragTestCase
{
    public function test_a_name_is_in_no_byte_of_the_files_after_a_quiet_moment(): void
    {
        $usual = config()->string('database.default');
        $file = config()->string('crag.data').'/wipe.sqlite';
        File::put($file, '');
        config([
            'database.connections.wipe' => ['database' => $file] + config()->array('database.connections.sqlite'),
            'database.default' => 'wipe',
        ]);
        try {
            DB::statement('create table people (id integer primary key, name text, pad text)');
            DB::statement('create index by_name on people (name)');
            for ($i = 0; $i < 400; $i++) {
                DB::table('people')->insert([
                    'name' => $i % 3 === 0 ? "Tamsin Fernhill {$i}" : "Somebody {$i}",
                    'pad' => str_repeat('x', random_int(1, 900)),
                ]);
            }
            self::assertTrue($this->holds($file, 'Tamsin'));
            DB::table('people')->where('name', 'like', 'Tamsin%')->delete();
            Wipe::afterForgetting();
            self::assertFalse($this->holds("{$file}-wal", 'Tamsin'), 'at once');
            self::assertFileExists(config()->string('crag.data').'/to-rewrite');
            Wipe::inQuiet();
            self::assertFalse($this->holds($file, 'Tamsin'));
            self::assertFalse($this->holds("{$file}-wal", 'Tamsin'));
            self::assertFileDoesNotExist(config()->string('crag.data').'/to-rewrite');
            self::assertSame(266, DB::table('people')->count());
        } finally {
            config(['database.default' => $usual]);
            DB::purge('wipe');
        }
    }

    private function holds(string $file, string $words): bool
    {
        return str_contains(
            (string) @file_get_contents($file).
                (str_ends_with($file, '-wal') ? '' : (string) @file_get_contents("{$file}-wal")),
            $words,
        );
    }
}
