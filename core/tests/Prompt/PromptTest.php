<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\Prompt;
use PHPUnit\Framework\TestCase;

final class PromptTest extends TestCase
{
    public function test_words_keep_their_lines_and_lose_their_edges(): void
    {
        self::assertSame(
            "Where is the pivot?\nShow it.",
            Prompt::of("  Where is the pivot?\r\nShow it. \n", Backdrop::blank())->words,
        );
    }

    public function test_words_that_are_too_long_are_refused_with_their_length(): void
    {
        $this->expectException(InvalidPrompt::class);
        $this->expectExceptionMessage('this has 2001');
        Prompt::of(str_repeat('a', 2001), Backdrop::blank());
    }
}
