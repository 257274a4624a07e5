<?php

declare(strict_types=1);

namespace Tests\Browser;

use Crag\Tests\Construct\Sketch;
use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** Points, lines and circles that depend on each other: made by taps, dragged, undone, and seen by the teacher. */
final class ConstructTest extends BrowserTestCase
{
    private const A = [0.2, 0.75];

    private const B = [0.7, 0.75];

    private const C = [0.35, 0.2];

    public function test_a_triangle_is_constructed_measured_and_dragged_and_the_teacher_sees_it(): void
    {
        [$teacher, $code] = $this->startLesson('Constructions');
        $this->maths();
        $page = $this->join('Aino', $code);
        $page->option('[data-tool=construct]');
        $this->make($page, 'segment', self::A, self::B);
        $this->make($page, 'segment', self::B, self::C);
        $this->make($page, 'segment', self::C, self::A);
        // A tap on what is there takes it: there are three points, and not six.
        $page->until(fn (): bool => $this->kinds($page) === ['point' => 3, 'segment' => 3], 'three points and three sides');
        $this->make($page, 'midpoint', self::A, self::B);
        $this->make($page, 'perpendicular', self::C, [0.5, 0.75]);
        $this->make($page, 'length', self::A, self::C);
        $this->make($page, 'angle', self::A, self::B, self::C);
        $last = fn (string $kind, int $n) => $page->until(
            fn (): bool => ($this->kinds($page)[$kind] ?? 0) === $n,
            "{$n} of {$kind} stored",
        );
        $last('angle', 1);
        // Where the height meets the side a tap makes the point where they cross, and not one beside it.
        $this->make($page, 'point', [0.35, 0.75]);
        $last('intersection', 1);
        // A drag moves the corner, and all that hangs on it goes along; undo and redo end where they were.
        $page->draw('.page-paper', [self::C, [0.45, 0.3], [0.55, 0.35]]);
        $x = fn (): int => (int) ($this->elements($page)['C']['x'] ?? 0);
        $page->until(fn (): bool => abs($x() - 8800) < 60, 'the corner where it was dragged');
        $page->press("\u{E009}", 'z')->until(fn (): bool => abs($x() - 5600) < 60, 'the corner where it was');
        $page->press("\u{E009}", 'y')->until(fn (): bool => abs($x() - 8800) < 60, 'the corner dragged again');
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile .tile-page') > 200, 'the construction on the tile');
        // In words, for those who do not point: and what says nothing is said so.
        $page->option('[data-tool=construct]');
        $words = '#bench .construct-words input';
        $page->type($words, "parallel C AB\n")->until(
            fn (): bool => ($this->kinds($page)['parallel'] ?? 0) === 1,
            'the parallel through C',
        );
        $page->type($words, "wish A B\n")->waitForText('#notice', 'Try “segment A B”');
        // What is removed takes what hangs on it along, and says so.
        $this->make($page, 'drop', self::B);
        $page->waitForText('#notice', 'what depended on it');
        $page->until(fn (): bool => ! isset($this->elements($page)['B']), 'B to be gone');
        $letters = array_filter(array_keys($this->elements($page)), static fn (string $id): bool => strlen($id) === 1);
        self::assertSame(['A', 'C'], array_values($letters));
        // The page has it all after a reload, and the eraser takes the construction as one thing.
        $page->driver->navigate()->refresh();
        $page->find('#page-frame[data-ready]');
        $page->option('[data-tool=eraser]')->draw('.page-paper', [[0.3, 0.5], [0.4, 0.6], [0.5, 0.5], [0.6, 0.55]]);
        $page->until(fn (): bool => $this->elements($page) === [], 'the construction to be rubbed out');
        self::assertSame([], $page->complaints());
    }

    public function test_a_phone_constructs_by_touch_and_a_second_prompt_begins_anew(): void
    {
        [, $code] = $this->startLesson('Constructions by touch');
        $this->maths();
        $phone = $this->join('Bo', $code, 390, 844);
        $phone->option('[data-tool=construct]');
        $this->make($phone, 'circle', [0.5, 0.5], [0.8, 0.5]);
        $this->make($phone, 'point', [0.5, 0.14]);
        $phone->until(fn (): bool => ($this->kinds($phone)['circle'] ?? 0) === 1, 'the circle');
        // Another tool in between, and back: what was picked for the one before is forgotten.
        $this->choose($phone, 'segment');
        $phone->draw('.page-paper', [[0.5, 0.5]], 'touch');
        $phone->option('[data-tool=pen]')->option('[data-tool=construct]');
        $this->make($phone, 'midpoint', [0.5, 0.5], [0.8, 0.5]);
        $phone->until(fn (): bool => ($this->kinds($phone)['midpoint'] ?? 0) === 1, 'the midpoint');
        self::assertSame(0, $this->kinds($phone)['segment'] ?? 0);
        self::assertSame([], $phone->complaints());
    }

    public function test_a_point_stays_on_a_segment_that_was_drawn(): void
    {
        [, $code] = $this->startLesson('Drawn segments');
        $this->maths();
        $page = $this->join('Freya', $code);
        $page->option('[data-tool=shapes]')->option('[data-shape=line]');
        $page->draw('.page-paper', [[0.2, 0.6], [0.5, 0.5], [0.8, 0.4]]);
        $page->until(fn (): bool => in_array('add', array_column($this->log('Freya'), 'kind'), true), 'the line');
        $page->option('[data-tool=construct]');
        $this->make($page, 'point', [0.5, 0.5]);
        $page->until(fn (): bool => $this->kinds($page) === ['on' => 1, 'point' => 2, 'segment' => 1], 'a point on it');
        self::assertSame(['add', 'remove', 'add'], array_column($this->log('Freya'), 'kind'), 'the line has become the segment');
        // Dragged away from it, the point goes along it.
        $page->draw('.page-paper', [[0.5, 0.5], [0.6, 0.8], [0.65, 0.9]]);
        $page->until(fn (): bool => array_column($this->elements($page), 't', 'kind')['on'] > 5500, 'the point further on');
        self::assertSame(['on' => 1, 'point' => 2, 'segment' => 1], $this->kinds($page));
        self::assertSame([], $page->complaints());
    }

    public function test_on_axes_functions_are_plotted_and_lengths_are_exact(): void
    {
        [$teacher, $code] = $this->startLesson('Axes');
        $this->maths();
        $axes = ['kind' => 'axes', 'x_from' => -8, 'x_to' => 8, 'x_step' => 1, 'y_from' => -5, 'y_to' => 5, 'y_step' => 1];
        $this->sql(
            'update prompts set pages = ?, backdrop = ? where id = (select prompt_id from live_sessions order by rowid desc limit 1)',
            [
                json_encode([['backdrop' => $axes + ['x_label' => 'x', 'y_label' => 'y'], 'objects' => []]]),
                json_encode($axes + ['x_label' => 'x', 'y_label' => 'y']),
            ],
        );
        $page = $this->join('Solveig', $code);
        $page->option('[data-tool=construct]');
        $words = '#bench .construct-words input';
        foreach (['y = 2x - 1', 'point 1 1', 'point 3 2', 'length A B', 'y = 1/x'] as $line) {
            $page->type($words, "{$line}\n");
            $page->until(fn (): bool => $page->run('return document.querySelector(arguments[0]).value', $words) === '', $line);
        }
        $page->until(fn (): bool => $this->kinds($page) === ['graph' => 2, 'length' => 1, 'point' => 2], 'all of it');
        $page->type($words, "y = hello\n")->waitForText('#notice', 'Write it like y = 2x + 1');
        self::assertSame('y = hello', $page->run('return document.querySelector(arguments[0]).value', $words));
        $page->until(fn (): bool => str_contains($this->svg($page), '>√5<'), 'the exact length');
        self::assertStringContainsString('>y = 2x − 1<', $this->svg($page));
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile .tile-page') > 200, 'the graphs on the tile');
        // Two presses fast after one another are one graph.
        $page->type($words, 'y = 3');
        $page->run('for (const _ of [1, 2]) document.querySelector(arguments[0]).form.requestSubmit()', $words);
        $page->until(fn (): bool => ($this->kinds($page)['graph'] ?? 0) === 3, 'the third graph');
        // Numbers stand beside their kinds: one is typed, one is in words, one that does not fit becomes one that does.
        $number = static fn (string $kind): string => "#bench .construct-number input[name={$kind}]";
        $value = fn (string $kind): mixed => $page->run('return document.querySelector(arguments[0]).value', $number($kind));
        $page->type($number('regular'), '2');
        $page->type($number('compass'), "2\n")->until(fn (): bool => $value('regular') === '3', 'at least three corners');
        $page->draw('.page-paper', [[0.5, 0.5]]);
        $page->until(fn (): bool => ($this->kinds($page)['compass'] ?? 0) === 1, 'the circle of a radius');
        $page->option('[data-tool=construct]')->type($words, "rotation B A 60\n");
        $page->until(fn (): bool => ($this->kinds($page)['rotation'] ?? 0) === 1, 'the rotation');
        $by = array_column($this->elements($page), 'by', 'kind');
        self::assertSame(-6000, $by['rotation']);
        self::assertEqualsWithDelta(2 * 860, $by['compass'], 1, 'two of the axes');
        self::assertSame(3, $this->kinds($page)['graph'], 'no graph came twice');
    }

    public function test_letters_slide_points_come_as_a_table_and_a_question_asks_for_the_graph(): void
    {
        [$teacher, $code] = $this->startLesson('Sliders');
        $this->maths();
        $axes = ['kind' => 'axes', 'x_from' => -8, 'x_to' => 8, 'x_step' => 1, 'y_from' => -5, 'y_to' => 5, 'y_step' => 1];
        $question = ['id' => 'q', 'kind' => 'graph', 'words' => 'Through (0, −1) with slope 2', 'spot' => null];
        $this->sql(
            'update prompts set pages = ?, backdrop = ?, details = ? where id = (select prompt_id from live_sessions order by rowid desc limit 1)',
            [
                json_encode([['backdrop' => $axes + ['x_label' => 'x', 'y_label' => 'y'], 'objects' => []]]),
                json_encode($axes + ['x_label' => 'x', 'y_label' => 'y']),
                json_encode(['questions' => [$question + ['right' => 'y = 2x − 1']]]),
            ],
        );
        $page = $this->join('Solveig', $code);
        $page->option('[data-tool=construct]');
        $words = '#bench .construct-words input';
        $page->type($words, 'points (0, -1), (1, 1), (2, 3)
');
        $page->until(fn (): bool => ($this->kinds($page)['point'] ?? 0) === 3, 'three points at once');
        foreach (['y = ax + b', 'y < x', 'tangent x² at 1', 'area x² from 0 to 2', '(t, t²) for 0 < t < 2'] as $n => $line) {
            $page->type($words, "{$line}
");
            $page->until(fn (): bool => ($this->kinds($page)['graph'] ?? 0) === $n + 1, $line);
        }
        $sources = fn (): array => array_column(
            array_filter($this->elements($page), static fn (array $one): bool => $one['kind'] === 'graph'),
            'source',
        );
        self::assertSame('y = 2x − 1', $sources()[2], 'the tangent is the line that is asked for');
        $teacher->waitForText('#answer-groups', 'y = 2x − 1');
        $teacher->waitForText('#answer-groups', 'right');
        // A letter is slid: the graph follows, and what is let go is kept, once.
        $slide = static fn (string $to, string $kind): string => "const field = document.querySelector('#bench .construct-slider input'); ".
            "field.value = '{$to}'; field.dispatchEvent(new Event('{$kind}', { bubbles: true }))";
        foreach (['1.5', '2', '2.5'] as $to) {
            $page->run($slide($to, 'input'));
        }
        $page->run($slide('2.5', 'change'));
        $page->until(fn (): bool => in_array('y = ax + b, a = 2.5, b = 1', $sources(), true), 'the graph that was slid');
        self::assertSame(5, $this->kinds($page)['graph'], 'none came beside it');
        $page->click('#undo')->until(
            fn (): bool => in_array('y = ax + b, a = 1, b = 1', $sources(), true),
            'the letter where it was',
        );
        self::assertStringContainsString('fill-opacity', $this->svg($page));
        self::assertSame([], $page->complaints());
    }

    public function test_what_a_teacher_prepared_is_dragged_by_each_on_their_own_canvas(): void
    {
        [, $code] = $this->startLesson('Prepared');
        $this->maths();
        $object = [
            'type' => 'construction',
            'elements' => Sketch::json('A point 400 600; B point 1200 600; s segment A B; M midpoint A B'),
            'colour' => '#2272b5',
            'width' => 40,
        ];
        foreach (['A', 'B'] as $i => $label) {
            $object['elements'][$i]['label'] = $label;
        }
        $this->sql(
            'update prompts set pages = ? where id = (select prompt_id from live_sessions order by rowid desc limit 1)',
            [json_encode([['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => $object]]]])],
        );
        [$one, $two] = [$this->join('Freya', $code), $this->join('Ivo', $code)];
        $one->option('[data-tool=construct]');
        $this->choose($one, 'segment');
        $one->draw('.page-paper', [[0.25, 0.6], [0.3, 0.4], [0.3, 0.3]]);
        $one->until(fn (): bool => ((int) ($this->elements($one)['A']['y'] ?? 0)) < 3300, 'A where it was dragged');
        // The first point of a segment is picked, undone by nothing, and the second taken from the prepared ones.
        $one->draw('.page-paper', [[0.5, 0.9]])->draw('.page-paper', [[0.75, 0.6]]);
        $one->until(fn (): bool => ($this->kinds($one)['segment'] ?? 0) === 2, 'a segment to what was prepared');
        self::assertSame(6000, $this->elements($two)['A']['y'], 'the other canvas is as it was prepared');
        $this->choose($one, 'drop');
        $one->draw('.page-paper', [[0.75, 0.6]])->waitForText('#notice', 'Tap a point');
        self::assertArrayHasKey('B', $this->elements($one));
        self::assertSame([], $one->complaints());
    }

    /** @param  array{float, float}  ...$taps */
    private function make(Page $page, string $kind, array ...$taps): void
    {
        $this->choose($page, $kind);
        foreach ($taps as $tap) {
            $page->draw('.page-paper', [$tap]);
        }
    }

    private function choose(Page $page, string $kind): void
    {
        $page->run('document.querySelector(`#bench [data-construct=${arguments[0]}]`).click()', $kind);
    }

    /** Every student of the session that was begun last has the tray with constructions. */
    private function maths(): void
    {
        $this->sql(
            'update live_sessions set tray = ? where id = (select id from live_sessions order by rowid desc limit 1)',
            [json_encode(['now' => ['kind' => 'maths', 'tools' => []], 'before' => null, 'changed' => 0])],
        );
    }

    /** @return array<string, array<string, mixed>> what is stored of the construction, by its label or else its id */
    private function elements(Page $page): array
    {
        $named = [];
        preg_match_all('/data-crag="([^"]*)"/', $this->svg($page), $found);
        foreach ($found[1] as $json) {
            $object = json_decode(html_entity_decode($json), true)['object'] ?? [];
            foreach ($object['elements'] ?? [] as $element) {
                $named[$element['label'] ?? $element['id']] = $element;
            }
        }

        return $named;
    }

    private function svg(Page $page): string
    {
        return (string) $page->driver->executeAsyncScript(
            <<<'JS'
            const done = arguments[0];
            fetch(`${location.pathname}/canvas`, { headers: { Accept: 'application/json' } })
                .then((answer) => answer.json())
                .then(({ canvas }) => fetch(`${location.pathname}/work/${canvas}.svg`))
                .then((answer) => answer.text())
                .then(done);
            JS,
        );
    }

    /** @return array<string, int> */
    private function kinds(Page $page): array
    {
        $kinds = array_count_values(array_column($this->elements($page), 'kind'));
        ksort($kinds);

        return $kinds;
    }
}
