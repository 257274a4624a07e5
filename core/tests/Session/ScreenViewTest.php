<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Screen\Letter;
use Crag\Session\Screen\ScreenView;
use PHPUnit\Framework\TestCase;

final class ScreenViewTest extends TestCase
{
    public function test_what_is_not_there_yet_cannot_be_shown(): void
    {
        self::assertSame('Ask something first.', ScreenView::Tally->lacks(false, true, true, true));
        self::assertSame('Choose a canvas to show first.', ScreenView::Showcase->lacks(true, false, true, true));
        self::assertSame('Pick someone first.', ScreenView::Pick->lacks(true, true, false, true));
        self::assertSame(
            'Make groups in the class picture first.',
            ScreenView::Groups->lacks(true, true, true, false),
        );
        foreach (ScreenView::cases() as $view) {
            self::assertNull($view->lacks(true, true, true, true));
        }
        self::assertNull(ScreenView::Prompt->lacks(false, false, false, false));
    }

    public function test_every_view_is_named_and_works_have_letters(): void
    {
        $words = array_map(static fn (ScreenView $view): string => $view->word(), ScreenView::cases());
        self::assertSame($words, array_unique($words));
        self::assertSame(['A', 'Z', 'AA', 'AZ', 'BA'], array_map(Letter::at(...), [0, 25, 26, 51, 52]));
    }

    public function test_the_prompt_stands_there_when_what_was_shown_has_ended(): void
    {
        self::assertSame(ScreenView::Prompt, ScreenView::Tally->without(ScreenView::Tally));
        self::assertSame(ScreenView::Showcase, ScreenView::Showcase->without(ScreenView::Tally));
    }

    public function test_bringing_everybody_together_takes_down_how_to_join_and_nothing_else(): void
    {
        self::assertSame(ScreenView::Prompt, ScreenView::Join->whenGathered());
        self::assertSame(ScreenView::Nothing, ScreenView::Nothing->whenGathered());
        self::assertFalse(ScreenView::Prompt->staysWhenGathered());
        self::assertTrue(ScreenView::Tally->staysWhenGathered());
    }
}
