<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use Illuminate\Support\Facades\Blade;
use Tests\Support\CragTestCase;

/** How views become pages. */
final class ViewsTest extends CragTestCase
{
    public function test_lines_lose_their_indentation_and_no_word_its_neighbour(): void
    {
        $view = "<button @disabled(\$isOver)\n            title=\"Pens\">\n        Pens\n            down</button>";

        self::assertSame("<button disabled title=\"Pens\">\n Pens\n down</button>", Blade::render($view, ['isOver' => true]));
    }

    public function test_an_icon_stands_in_the_view_itself(): void
    {
        $named = '<p><x-icon name="pencil" /> Pen</p>';
        $workedOut = '<p><x-icon :name="$isPen ? \'pencil\' : \'eraser\'" /> Pen</p>';

        $made = Blade::render($named);

        self::assertStringContainsString('<svg', Blade::compileString($named));
        self::assertStringStartsWith('<p><svg aria-hidden="true" focusable="false" ', $made);
        self::assertMatchesRegularExpression('~</svg>\s+Pen</p>$~', $made);
        self::assertSame($made, Blade::render($workedOut, ['isPen' => true]));
    }
}
