<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Live\Clock;
use App\Live\Counts;
use Deploy\Folder;
use Tests\Support\CragTestCase;

/** Counts of tries do not pile up where they lie. */
final class CountsTest extends CragTestCase
{
    public function test_what_nobody_counts_any_more_goes_and_the_rest_stays(): void
    {
        $now = Clock::ms();
        $seconds = intdiv($now, 1000);
        $folder = sys_get_temp_dir().'/crag-counts-'.getmypid();
        config(['cache.stores.counts.path' => $folder]);
        // Without a folder there is nothing to do.
        Counts::forgetOld($now);
        self::assertFileDoesNotExist($folder);
        try {
            foreach (['aa/bb/old' => 7200, 'aa/cc/new' => 5, 'dd/ee/gone' => 7200] as $file => $age) {
                @mkdir(dirname("{$folder}/{$file}"), 0o700, true);
                touch("{$folder}/{$file}", $seconds - $age);
            }
            foreach (['aa/bb', 'dd/ee', 'dd'] as $old) {
                touch("{$folder}/{$old}", $seconds - 7200);
            }
            Counts::forgetOld($now);
            self::assertFileDoesNotExist("{$folder}/aa/bb/old");
            self::assertFileDoesNotExist("{$folder}/dd/ee/gone");
            self::assertFileExists("{$folder}/aa/cc/new");
            // Not in each round.
            touch("{$folder}/aa/cc/another", $seconds - 7200);
            Counts::forgetOld($now + 60_000);
            self::assertFileExists("{$folder}/aa/cc/another");
            Counts::forgetOld($now + 660_000);
            self::assertFileDoesNotExist("{$folder}/aa/cc/another");
        } finally {
            Folder::remove($folder);
        }
    }
}
