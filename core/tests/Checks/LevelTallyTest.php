<?php

declare(strict_types=1);

namespace Crag\Tests\Checks;

use Crag\Checks\Level;
use Crag\Checks\LevelTally;
use PHPUnit\Framework\TestCase;

final class LevelTallyTest extends TestCase
{
    public function test_it_counts_each_level_and_what_has_no_check(): void
    {
        $tally = LevelTally::of([Level::Secure, null, Level::NotYet, Level::Secure, Level::NoAttempt, null, null]);
        self::assertSame(2, $tally->at(Level::Secure));
        self::assertSame([0 => 1, 1 => 1, 2 => 0, 3 => 2, 'unchecked' => 3], $tally->toArray());
    }

    public function test_no_canvases_give_noughts(): void
    {
        self::assertSame([0 => 0, 1 => 0, 2 => 0, 3 => 0, 'unchecked' => 0], LevelTally::of([])->toArray());
    }

    public function test_each_level_has_its_word(): void
    {
        self::assertSame(
            ['No attempt', 'Not yet', 'Nearly', 'Secure'],
            array_map(static fn (Level $level): string => $level->word(), Level::cases()),
        );
    }
}
