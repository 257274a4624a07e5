<?php

declare(strict_types=1);

namespace Crag\Tests\Checks;

use Crag\Checks\Phrases;
use PHPUnit\Framework\TestCase;

final class PhrasesTest extends TestCase
{
    public function test_what_was_used_here_most_comes_first_and_the_rest_stays_in_order(): void
    {
        self::assertSame(
            ['Name the pivot.', 'Units!', 'Neat.', 'Draw the forces.'],
            Phrases::inOrder(
                ['Neat.', 'Units!', 'Draw the forces.'],
                ['Units!' => 1, 'Name the pivot.' => 4, 'Said once.' => 1],
            ),
        );
    }

    public function test_a_phrase_keeps_its_place_while_somebody_checks(): void
    {
        $before = Phrases::inOrder(['A', 'B', 'C'], []);
        self::assertSame(['A', 'B', 'C', 'D'], Phrases::inOrder(['A', 'B', 'C'], ['C' => 9, 'D' => 2], $before));
        self::assertSame(['A', 'C'], Phrases::inOrder(['A', 'C'], ['C' => 9], $before), 'a dropped one leaves no gap');
    }

    public function test_a_phrase_that_looks_like_a_number_is_one_like_the_others(): void
    {
        self::assertSame(['7', '80'], Phrases::inOrder(['80', '7'], ['7' => 2]));
    }
}
