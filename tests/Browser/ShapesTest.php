<?php

declare(strict_types=1);

namespace Tests\Browser;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Scene;
use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;

/** Shapes: drawn freehand and held still, and how their lines, ends and insides look. */
final class ShapesTest extends BrowserTestCase
{
    /** Around, nearly closed, in shares of the page. */
    private const CIRCLE = [
        [0.6, 0.5], [0.593, 0.565], [0.571, 0.613], [0.536, 0.645], [0.5, 0.66], [0.462, 0.648],
        [0.428, 0.612], [0.407, 0.563], [0.4, 0.5], [0.408, 0.438], [0.43, 0.386], [0.464, 0.351],
        [0.5, 0.34], [0.538, 0.352], [0.57, 0.388], [0.592, 0.436], [0.6, 0.494],
    ];

    private Page $page;

    private string $name = '';

    private static int $students = 0;

    private static string $code = '';

    private static string $tray = '';

    #[TestWith(['mouse', 1280, 800])]
    #[TestWith(['touch', 390, 844])]
    #[TestWith(['pen', 820, 1180])]
    public function test_a_stroke_held_still_at_its_end_becomes_the_shape_it_was_meant_as(
        string $pointer,
        int $width,
        int $height,
    ): void {
        $this->begin($width, $height);
        $this->held(self::CIRCLE, $pointer);
        [$stroke, $straighten] = $this->made(2);
        self::assertSame(['add', 'straighten'], [$stroke['kind'], $straighten['kind']]);
        $shape = $straighten['body']['object'];
        self::assertSame(['ellipse', '#25323b', 40], [$shape['type'], $shape['colour'], $shape['width']]);
        self::assertSame($shape['w'], $shape['h'], 'what is nearly round is round');
        // One undo brings the ink back, one more takes it away.
        $this->page->press("\u{E009}", 'z');
        self::assertSame('withdraw', $this->made(3)[2]['kind']);
        $this->stand(['Stroke']);
    }

    public function test_who_moves_on_keeps_the_ink_and_what_is_no_shape_stays_what_it_is(): void
    {
        $this->begin();
        $this->held(self::CIRCLE, 'pen', false);
        $this->page->moveOn('.page-paper', 0.7, 0.7, 'pen')->lift('pen');
        self::assertSame('add', $this->made(1)[0]['kind']);
        // The whole way is in it, what was drawn while the shape was offered too.
        self::assertGreaterThan(400, $this->inked($this->page, '#page'));
        $this->held([[0.1, 0.1], [0.2, 0.3], [0.1, 0.35], [0.3, 0.15], [0.15, 0.4]], 'pen');
        self::assertSame('add', $this->made(2)[1]['kind']);
        $this->stand(['Stroke', 'Stroke']);
        self::assertSame([], $this->page->complaints());
    }

    public function test_what_comes_while_a_shape_is_offered_leaves_the_ink(): void
    {
        $this->begin();
        // Undo while the pen is still down has nothing of it to take back, and lifting takes the shape as usual.
        $this->held(self::CIRCLE, 'pen', false);
        $this->page->press("\u{E009}", 'z')->lift('pen');
        self::assertSame(['add', 'straighten'], array_column($this->made(2), 'kind'));
        // Two undos fast after one another, and a reload: as before, and so it stays.
        $this->page->press("\u{E009}", 'z')->press("\u{E009}", 'z');
        $this->made(4);
        $this->page->driver->navigate()->refresh();
        $this->page->find('#page-frame[data-ready]');
        $this->stand([]);
        self::assertSame([], $this->page->complaints());
    }

    public function test_ink_that_is_there_is_straightened_when_it_is_chosen(): void
    {
        $this->begin();
        $this->page->draw('.page-paper', self::CIRCLE, 'mouse');
        $this->made(1);
        $this->page->option('[data-tool=move]')->draw('.page-paper', [[0.6, 0.5]], 'mouse');
        $this->page->option('[data-chosen=straighten]');
        self::assertSame('ellipse', $this->made(2)[1]['body']['object']['type']);
        // A shape is as straight as it gets.
        $this->page->draw('.page-paper', [[0.6, 0.5]], 'mouse')->click('[data-reveal=rare]');
        self::assertSame([], array_filter(
            $this->page->all('[data-chosen=straighten]'),
            static fn ($button): bool => $button->isDisplayed(),
        ));
    }

    public function test_without_shapes_in_the_tray_ink_stays_ink(): void
    {
        $this->begin(tray: 'starter');
        $this->held(self::CIRCLE, 'touch');
        self::assertSame('add', $this->made(1)[0]['kind']);
        $this->stand(['Stroke']);
    }

    public function test_lines_are_dashed_ends_have_heads_and_insides_are_filled(): void
    {
        $this->begin();
        $this->page->option('[data-tool=shapes]')->option('[data-shape=curve]')
            ->option('[data-line=dashed]')->option('[data-ends=both]');
        foreach ([[0.1, 0.2], [0.2, 0.1], [0.3, 0.2]] as $point) {
            $this->page->draw('.page-paper', [$point], 'mouse');
        }
        $this->page->click('[data-finish]');
        $curve = $this->made(1)[0]['body']['object'];
        self::assertSame(['dashed', 'both'], [$curve['line'], $curve['ends']]);
        // Another shape has the ends that it usually has, and what has an inside has no ends.
        $this->page->click('[data-tool=shapes]')->option('[data-shape=rectangle]')->option('[data-strength="50"]');
        self::assertFalse($this->isSeen('[data-ends=both]'));
        $this->page->draw('.page-paper', [[0.5, 0.2], [0.7, 0.4]], 'mouse');
        $box = $this->made(2)[1]['body']['object'];
        self::assertSame([true, 50, 'dashed'], [$box['filled'], $box['strength'], $box['line']]);
        self::assertArrayNotHasKey('ends', $box);
        self::assertArrayNotHasKey('fill', $box);
        // What is chosen takes another inside, and an even line.
        $this->page->option('[data-tool=move]')->draw('.page-paper', [[0.6, 0.3]], 'mouse');
        $this->page->option('[data-line=solid]');
        self::assertSame(['line' => 'solid'], $this->made(3)[2]['body']['set']);
        $this->page->run(
            'const fill = document.querySelector(".fill"); fill.value = "#c98a1b"; fill.dispatchEvent(new Event("input", { bubbles: true }))',
        );
        self::assertSame(['fill' => '#c98a1b'], $this->made(4)[3]['body']['set']);
        $this->page->option('[data-fill=own]');
        self::assertSame(['fill' => 'own'], $this->made(5)[4]['body']['set']);
        self::assertSame([], $this->page->complaints());
    }

    #[TestWith(['mouse', 1280, 800])]
    #[TestWith(['touch', 390, 844])]
    public function test_an_arrow_that_snapped_to_boxes_stays_tied_to_them(
        string $pointer,
        int $width,
        int $height,
    ): void {
        $this->begin($width, $height);
        self::seeWhole($this->page)->option('[data-tool=shapes]')->option('[data-shape=rectangle]')
            ->option('.tray-options .do-snap');
        $this->page->draw('.page-paper', [[0.2, 0.3], [0.4, 0.4]], $pointer)
            ->draw('.page-paper', [[0.6, 0.3], [0.8, 0.4]], $pointer);
        [$left, $right] = $this->made(2);
        // Begun and ended a little beside the middles of their sides.
        $isHeld = $pointer === 'mouse';
        $this->page->option('[data-shape=arrow]')
            ->draw('.page-paper', [[0.405, 0.353], [0.5, 0.5], [0.597, 0.347]], $pointer, lift: ! $isHeld);
        $ring = 'const ring = document.querySelector(".snap-ring:not([hidden])"); return ring && ring.className';
        self::assertSame($isHeld ? 'snap-ring is-point' : null, $this->page->run($ring));
        $isHeld && $this->page->lift($pointer);
        $arrow = $this->made(3)[2]['body']['object'];
        self::assertSame([$left['id'], $right['id']], [$arrow['start']['on'], $arrow['end']['on']]);
        self::assertSame([6500, 3500, 3000, 0], [$arrow['x'], $arrow['y'], $arrow['w'], $arrow['h']]);
        // The box is dragged by its edge, and the arrow's end goes along; after a reload too.
        $this->page->option('[data-tool=move]')->draw('.page-paper', [[0.3, 0.3], [0.3, 0.6]], $pointer);
        [$dx, $dy] = $this->made(4)[3]['body']['places'][0];
        self::assertEqualsWithDelta(3000, $dy, 200);
        $this->standsAt(6500 + $dx, 3500 + $dy);
        $this->page->driver->navigate()->refresh();
        $this->page->find('#page-frame[data-ready]');
        $this->standsAt(6500 + $dx, 3500 + $dy);
        // One undo takes both back.
        $this->page->press("\u{E009}", 'z');
        $this->made(5);
        $this->standsAt(6500, 3500);
        self::assertSame([], $this->page->complaints());
    }

    public function test_a_note_stands_with_its_head_on_the_line_or_space_that_is_tapped(): void
    {
        $this->begin();
        $this->page->click('[data-add-page]')->click('[data-pages]');
        $this->page->run(
            'const s = document.querySelector(".page-list li:nth-child(2) select"); s.value = "staves"; s.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $this->made(2);
        $this->page->press("\u{E00C}")->option('[data-tool=stamps]')->option('[data-stamps=music]')
            ->option('[data-stamp=crotchet]');
        // The second stave's lines stand at 270, 292 …
        $this->page->draw('.page-paper', [[0.5, 0.294]], 'mouse');
        $note = $this->made(3)[2]['body']['object'];
        self::assertSame(['crotchet', 88], [$note['stamp'], $note['size']]);
        self::assertSame(2920, $note['y'] + (int) (0.375 * 880), 'the head stands on the line');
        $this->page->option('[data-stamps=marks]')->option('[data-stamp=tick]');
        $this->page->draw('.page-paper', [[0.3, 0.294]], 'mouse');
        self::assertSame(90, $this->made(4)[3]['body']['object']['size']);
    }

    /**
     * Long enough for a busy machine: a look at the pen that comes late does not count as stillness.
     *
     * @param  list<array{float, float}>  $way
     */
    private function held(array $way, string $pointer, bool $lift = true): void
    {
        self::seeWhole($this->page)->draw('.page-paper', $way, $pointer, 16, $lift, 1_800);
    }

    private function isSeen(string $selector): bool
    {
        return $this->page->find($selector)->isDisplayed();
    }

    /** @return list<array{id: string, kind: string, body: array<string, mixed>}> */
    private function made(int $count): array
    {
        return $this->page->until(
            fn (): array => count($log = $this->log($this->name)) === $count ? $log : [],
            "{$count} operations; there are ".implode(', ', array_column($this->log($this->name), 'kind')),
        );
    }

    /** The scene that the server has folds to an arrow that begins there, in tenths. */
    private function standsAt(int $x, int $y): void
    {
        $this->page->until(function () use ($x, $y): bool {
            $seat = Author::seat('seat');
            $read = static fn (array $one): Operation => Operation::read($one, $seat);
            foreach (Scene::fold(array_map($read, $this->log($this->name)))->placed as $placed) {
                $object = $placed->object->toArray();
                if ($object['type'] === 'arrow') {
                    return abs($object['x'] - $x) <= 5 && abs($object['y'] - $y) <= 5;
                }
            }

            return false;
        }, "the arrow at {$x}, {$y}");
    }

    /** @param  list<string>  $kinds  of the objects on the page, as its list names them */
    private function stand(array $kinds): void
    {
        $this->page->until(
            fn (): bool => $this->page->run(
                'return [...document.querySelectorAll(".object")].map((one) => one.textContent.split(",")[0])',
            ) === $kinds,
            implode(', ', $kinds).' on the page',
        );
    }

    private function begin(int $width = 1280, int $height = 800, string $tray = 'maths'): void
    {
        if (self::$tray !== $tray) {
            self::$tray = $tray;
            [$teacher, self::$code] = $this->startLesson();
            $this->sql('update live_sessions set tray = ? where id = ?', [
                json_encode(['now' => ['kind' => $tray, 'tools' => ['pages']], 'before' => null, 'changed' => 0]),
                basename($teacher->driver->getCurrentURL()),
            ]);
        }
        $this->name = 'Merryn '.++self::$students;
        $this->page = $this->join($this->name, self::$code, $width, $height);
    }
}
