<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Life\SessionSettings;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use PHPUnit\Framework\TestCase;

final class PromptStateTest extends TestCase
{
    public function test_a_prompt_is_over_when_it_is_closed_or_the_class_has_gone_on_together(): void
    {
        self::assertTrue(PromptState::Closed->isOver(Pace::Own, true));
        self::assertTrue(PromptState::Open->isOver(Pace::Together, false));
        self::assertFalse(PromptState::Open->isOver(Pace::Together, true));
        self::assertFalse(PromptState::Open->isOver(Pace::Own, false));
    }

    public function test_work_is_covered_while_the_session_runs_and_until_it_is_revealed(): void
    {
        $covering = SessionSettings::read(['cover' => true]);
        self::assertTrue($covering->covers(true, false));
        self::assertFalse($covering->covers(true, true));
        self::assertFalse($covering->covers(false, false));
        self::assertFalse(SessionSettings::read([])->covers(true, false));
    }
}
