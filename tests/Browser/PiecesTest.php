<?php

declare(strict_types=1);

namespace Tests\Browser;

use Crag\Canvas\Drawing\Ink;
use Crag\Manipulative\ManipulativeKind;
use Deploy\Browser\Page;
use Facebook\WebDriver\WebDriverSelect;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\BrowserTestCase;

/** Pieces with a state: put on the page, worked by mouse, touch and keys, and seen by the teacher. */
final class PiecesTest extends BrowserTestCase
{
    private const ENTER = "\u{E007}";

    private const RIGHT = "\u{E014}";

    /** What is done to a part of each kind by pointer, and what it then says. */
    private const DONE = [
        'Number' => [
            ['fraction_bar', 'cell:1', 'press', '1/4 shaded'],
            ['fraction_circle', 'cell:1', 'press', '1/4 shaded'],
            ['base_ten', 'add:1', 'press', '10 in blocks'],
            ['place_value', 'add:3', 'press', 'Shows 0.1'],
            ['number_line', 'end:0', 'drag', 'jumps +'],
            ['counters', 'token:0', 'press', '4 of +1, 4 of −1'],
            ['ten_frame', 'cell:7', 'press', '1 of 20 filled'],
            ['hundred_square', 'cell:41', 'press', '1 coloured: 42'],
            ['number_cards', 'token:3', 'lift', 'Line: 4'],
        ],
        'Algebra' => [
            ['algebra_tiles', 'arrange:0', 'press', '(x + 2)(x + 3)'],
            ['balance', 'add:3', 'press', 'Right is heavier'],
            ['bar_model', 'length:0', 'type', 'Bars: 15 + 8'],
        ],
        'Measure' => [
            ['clock', 'minute:0', 'drag', 'Clock at 9:'],
            ['coins', 'add:7', 'press', 'Coins: 1, total 2'],
            ['geoboard', 'peg:7', 'press', 'Pegs in the band: 1'],
        ],
        'Chance' => [
            ['dice', 'roll:0', 'press', 'Rolled'],
            ['coin_toss', 'toss:10', 'press', 'Tosses: 10'],
            ['spinner', 'spin:1', 'press', 'Landed on'],
        ],
        'Data' => [
            ['sum_table', 'cell:0', 'type', 'Adds up to 15'],
            ['bar_chart', 'value:1', 'type', 'B 10'],
            ['data_line', 'add:5', 'press', 'Values: 1, median 5'],
            ['venn_sets', 'token:5', 'lift', '1 of 9 laid'],
            ['tree_diagram', 'branch:0', 'type', 'don’t add up'],
        ],
        'Science' => [
            ['loaded_beam', 'hook:-2', 'press', 'Tips left'],
            ['spring', 'add:0', 'press', '1 N stretches it by 5 mm'],
            ['pulley', 'pull:10', 'press', 'Pulled 10 cm'],
            ['circuit', 'switch:3', 'press', 'Lamps lit: 1 of 1'],
            ['atoms', 'add:3', 'press', 'O, bonds don’t fit yet'],
            ['staff', 'step:4', 'press', 'Notes: G4'],
        ],
        'Space' => [
            ['solid', 'turn:0', 'push', 'turned 2'],
            ['sphere', 'turn:0', 'push', 'Sphere, tilted 4'],
            ['folded_net', 'fold:10', 'press', 'folded 10'],
            ['coordinate_cube', 'place:0', 'type', 'Plane'],
        ],
        'Instrument' => [
            ['ruler', 'grip:0', 'turn', 'Ruler at 3'],
            ['protractor', 'grip:0', 'turn', 'Protractor at 3'],
            ['set_square', 'grip:0', 'turn', 'Set square at 3'],
            ['compass', 'hinge:0', 'drag', 'Compasses open '],
        ],
    ];

    /** @return iterable<string, array{string}> */
    public static function subjects(): iterable
    {
        foreach (array_keys(self::DONE) as $subject) {
            yield $subject => [$subject];
        }
    }

    #[DataProvider('subjects')]
    public function test_each_kind_is_put_on_the_page_and_worked_by_pointer_and_by_keys(string $subject): void
    {
        [, $code] = $this->startLesson("Pieces: {$subject}");
        $this->maths();
        $page = self::seeWhole($this->join('Signe', $code));
        foreach (self::DONE[$subject] as [$kind, $part, $how, $says]) {
            $this->put($page, $subject, $kind);
            $before = $this->says($page);
            $this->assertAccessible($page, $kind, '.piece-layer');
            $this->work($page, $part, $how);
            $this->waitFor($page, $says, "{$kind} by pointer");
            $page->press("\u{E009}", 'z');
            $page->until(fn (): bool => $this->says($page) === $before, "{$kind} undone");
            $this->work($page, $part, $how, 'touch');
            $page->until(fn (): bool => $this->says($page) !== $before, "{$kind} by touch");
            $page->click('#undo')->until(fn (): bool => $this->says($page) === $before, "{$kind} undone again");
            $this->workByKeys($page, $part, $how);
            $page->until(fn (): bool => $this->says($page) !== $before, "{$kind} by keys");
            // All of it is taken away again: the next one lies alone.
            $page->until(
                fn (): bool => $page->press("\u{E009}", 'z')->all('.piece-parts') === [],
                "{$kind} to be gone",
            );
        }
        self::assertSame([], $page->complaints());
    }

    public function test_every_kind_is_tried_here(): void
    {
        self::assertEqualsCanonicalizing(
            array_column(ManipulativeKind::cases(), 'value'),
            array_column(array_merge(...array_values(self::DONE)), 0),
        );
    }

    public function test_a_class_works_what_was_handed_out_and_the_desk_groups_it(): void
    {
        [$teacher, $code] = $this->startLesson('A level beam');
        $this->prepare('loaded_beam', ['arms' => 4], 'balance', 'balanced');
        $laptop = self::seeWhole($this->join('Aino', $code));
        $tablet = self::seeWhole($this->join('Bo', $code, 820, 1180));
        $phone = self::seeWhole($this->join('كريمة', $code, 390, 844));
        // With the pen in the hand, by mouse, by pen and by touch: a part is the part's.
        $this->hang($laptop, -2, 3, 'mouse');
        $this->hang($laptop, 3, 2, 'mouse');
        $this->waitFor($laptop, 'Balanced: moments 60 and 60', 'the beam of the laptop');
        $this->hang($tablet, -1, 1, 'pen');
        $this->waitFor($tablet, 'Tips left', 'the beam of the tablet');
        $this->hang($phone, 4, 1, 'touch');
        $this->hang($phone, -4, 1, 'touch');
        $this->waitFor($phone, 'Balanced', 'the beam of the phone');
        $teacher->waitForText('#answer-groups', 'balanced');
        $teacher->until(
            fn (): bool => str_contains((string) $teacher->run(
                'return document.querySelector("#answer-groups").innerText.replace(/\s+/g, " ")',
            ), '2 say balanced'),
            'two that are level',
        );
        // Pressed, a group is chosen; the answers propose checks.
        $teacher->click('#answer-groups .answer-chip');
        $teacher->until(fn (): bool => count($teacher->all('.tile.is-chosen')) === 2, 'two tiles chosen');
        // A load dragged to another hook, a reload in between, and undone.
        $laptop->driver->navigate()->refresh();
        $laptop->find('#page-frame[data-ready]');
        self::seeWhole($laptop);
        $this->waitFor($laptop, 'Balanced', 'the beam after a reload');
        $this->dragTo($laptop, 'load:3', 'hook:1');
        $this->waitFor($laptop, 'Tips left: moments 60 and 40', 'a load elsewhere');
        $laptop->press("\u{E009}", 'z');
        $this->waitFor($laptop, 'Balanced', 'the load where it was');
        // Beside a part the pen draws, and the eraser rubs out the ink and not the piece.
        $laptop->draw('.page-paper', [[0.1, 0.9], [0.2, 0.92], [0.3, 0.9]]);
        $laptop->until(fn (): bool => in_array('add', array_column($this->log('Aino'), 'kind'), true), 'ink beside it');
        $laptop->option('[data-tool=eraser]')->draw('.page-paper', [[0.2, 0.86], [0.2, 0.96]]);
        $laptop->until(fn (): bool => in_array('remove', array_column($this->log('Aino'), 'kind'), true), 'the ink gone');
        $laptop->draw('.page-paper', [[0.3, 0.2], [0.6, 0.3]]);
        self::assertCount(1, $laptop->all('.piece-parts'));
        self::assertSame([], [...$laptop->complaints(), ...$tablet->complaints(), ...$phone->complaints()]);
        foreach (['laptop' => $laptop, 'phone' => $phone] as $what => $page) {
            $this->assertAccessible($page, "pieces on a {$what}", '.page-frame');
        }
    }

    public function test_a_ruler_straightens_ink_and_compasses_draw_round_their_needle(): void
    {
        [$teacher, $code] = $this->startLesson('Instruments');
        $this->maths();
        $page = self::seeWhole($this->join('Solveig', $code));
        $this->put($page, 'Instrument', 'ruler');
        // Pushed by its body and turned by its grip, with the pen in the hand.
        $page->option('[data-tool=pen]');
        $page->draw('[data-part="body:0"]', [[0.5, 0.5], [0.45, 0.3], [0.4, 0.2]]);
        $page->draw('[data-part="grip:0"]', [[0.5, 0.5], [0.5, 1.0], [0.4, 2.0]]);
        $page->until(fn (): bool => preg_match('/at 3[45]\d°/', $this->says($page)) === 1, 'the ruler turned');
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile .tile-page') > 200, 'the ruler on the tile');
        // A shaky line along the edge with the scale is straight.
        $this->alongEdge($page, 'ruler');
        $ink = $this->strokes('Solveig', $page)[0];
        self::assertLessThan(0.4, self::awayFromLine($ink), 'the line is straight');
        // A line that begins away from it is as it was drawn.
        $page->draw('.page-paper', [[0.1, 0.9], [0.15, 0.95], [0.2, 0.88], [0.3, 0.93]]);
        self::assertGreaterThan(5, self::awayFromLine($this->strokes('Solveig', $page, 2)[1]));
        // Compasses, opened by a number that is typed: what is drawn at the pencil's tip is round.
        while ($page->press("\u{E009}", 'z')->all('.piece-parts') !== []) {
            usleep(50_000);
        }
        $this->put($page, 'Instrument', 'compass');
        $page->option('[data-tool=pen]')->draw('[data-part="radius:0"]', [[0.5, 0.5]]);
        $page->type('.piece-number', '30')->press(self::ENTER);
        $this->waitFor($page, 'open 30 mm', 'the opening');
        $before = count($this->strokes('Solveig', $page, 0));
        $page->draw('[data-part="pencil:0"]', [[0.5, 0.5], [0.6, 1.6], [0.1, 2.8], [-1.2, 4.0], [-2.5, 4.6]]);
        $arc = $this->strokes('Solveig', $page, $before + 1)[$before];
        $needle = $page->run(
            <<<'JS'
            const at = document.querySelector('[data-part="needle:0"]').getBoundingClientRect();
            const paper = document.querySelector('#page .page-paper').getBoundingClientRect();
            const scale = 1600 / paper.width;
            return [(at.left + at.width / 2 - paper.left) * scale, (at.top + at.height / 2 - paper.top) * scale];
            JS,
        );
        self::assertIsArray($needle);
        foreach ($arc as [$x, $y]) {
            self::assertEqualsWithDelta(176.7, hypot($x - (float) $needle[0], $y - (float) $needle[1]), 2.0);
        }
        self::assertSame([], $page->complaints());
    }

    /** Draws along the upper edge of a ruler, however it lies, a little up and down. */
    private function alongEdge(Page $page, string $kind): void
    {
        $points = $page->run(
            <<<'JS'
            const paper = document.querySelector('#page .page-paper').getBoundingClientRect();
            const body = document.querySelector('[data-part="body:0"]').getBoundingClientRect();
            const grip = document.querySelector('[data-part="grip:0"]').getBoundingClientRect();
            const scale = paper.width / 1600;
            const [mx, my] = [body.left + body.width / 2, body.top + body.height / 2];
            const [gx, gy] = [grip.left + grip.width / 2, grip.top + grip.height / 2];
            // From the middle to the grip, which lies 14 units nearer to the lower edge.
            const angle = Math.atan2(gy - my, gx - mx) - Math.atan2(14, 12.6 * 58.9 / 2 - 50);
            const at = (along, aside) => [
                (mx + (along * Math.cos(angle) - aside * Math.sin(angle)) * scale - paper.left) / paper.width,
                (my + (along * Math.sin(angle) + aside * Math.cos(angle)) * scale - paper.top) / paper.height,
            ];
            return [-250, -150, -50, 50, 150, 250].map((along, i) => at(along, -52 + (i % 2) * 9));
            JS,
            $kind,
        );
        self::assertIsArray($points);
        $page->draw('.page-paper', array_map(static fn (array $at): array => [(float) $at[0], (float) $at[1]], $points));
    }

    /** @return list<list<array{float, float}>> a student's strokes in units, as soon as there are so many */
    private function strokes(string $name, Page $page, int $count = 1): array
    {
        $strokes = $page->until(function () use ($name, $count): ?array {
            $found = [];
            foreach ($this->log($name) as $one) {
                if (($one['body']['object']['type'] ?? '') === 'stroke') {
                    $found[] = array_map(
                        static fn (array $sample): array => [$sample[0] / 10, $sample[1] / 10],
                        Ink::decode((string) $one['body']['object']['ink'])->samples(),
                    );
                }
            }

            return count($found) >= $count ? [$found] : null;
        }, "{$count} strokes");

        return $strokes[0];
    }

    /** @param  list<array{float, float}>  $ink  how far it goes from the line between its ends, in units */
    private static function awayFromLine(array $ink): float
    {
        [[$x1, $y1], [$x2, $y2]] = [$ink[0], $ink[count($ink) - 1]];
        $length = hypot($x2 - $x1, $y2 - $y1);

        return max(array_map(
            static fn (array $at): float => abs(($x2 - $x1) * ($y1 - $at[1]) - ($x1 - $at[0]) * ($y2 - $y1)) / $length,
            $ink,
        ));
    }

    public function test_turning_is_seen_by_the_teacher_while_the_hand_is_on_it(): void
    {
        [$teacher, $code] = $this->startLesson('Turning');
        $this->prepare('solid', ['shape' => 2], 'cut', '3');
        $page = self::seeWhole($this->join('Ivo', $code, 390, 844));
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile .tile-page') > 100, 'the solid on the tile');
        $picture = static fn (): mixed => $teacher->run(
            'return [...document.querySelectorAll(".tile canvas")].map((one) => one.toDataURL()).join()',
        );
        $before = $picture();
        $page->draw('[data-part="turn:0"]', [[0.1, 0.1], [0.3, 0.2], [0.6, 0.3], [0.7, 0.35]], 'touch', 60, false);
        $teacher->until(static fn (): bool => $picture() !== $before, 'the tile to follow the hand');
        self::assertSame([], $this->log('Ivo'), 'nothing is stored before it is let go');
        $page->draw('[data-part="turn:0"]', [[0.7, 0.35]], 'touch');
        $page->until(fn (): bool => count($this->log('Ivo')) > 0, 'the turn stored');
        self::assertSame([], $page->complaints());
    }

    public function test_pens_down_a_network_that_fails_and_two_presses_at_once_lose_nothing(): void
    {
        [$teacher, $code] = $this->startLesson('Steady pieces');
        $this->prepare('ten_frame', ['frames' => 2], 'filled', '7');
        $page = self::seeWhole($this->join('Wren', $code));
        $press = static fn (int ...$cells): string => implode('', array_map(
            static fn (int $n): string => "document.querySelector('[data-part=\"cell:{$n}\"]').click();",
            $cells,
        ));
        $page->run($press(0, 1, 2));
        $this->waitFor($page, '3 of 20 filled', 'three presses at once');
        // While pens are down nothing is worked, by key or by pointer; up again, all goes on where it was.
        $teacher->click('#pens');
        $page->until(fn (): bool => $page->all('.page-frame.is-locked') !== [], 'pens down');
        $page->run($press(3));
        $page->draw('[data-part="cell:4"]', [[0.5, 0.5]]);
        $teacher->click('#pens');
        $page->until(fn (): bool => $page->all('.page-frame.is-locked') === [], 'pens up');
        self::assertStringContainsString('3 of 20 filled', $this->says($page));
        // Without a network it goes on, and comes in when there is one again.
        $page->offline(true);
        $page->run($press(5, 6, 7));
        $this->waitFor($page, '6 of 20 filled', 'work without a network');
        $page->offline(false);
        $page->until(fn (): bool => count($this->log('Wren')) === 6, 'what was done offline stored once');
        $page->driver->navigate()->refresh();
        $page->find('#page-frame[data-ready]');
        $this->waitFor($page, '6 of 20 filled', 'the same after a reload');
        $teacher->waitForText('#answer-groups', '6');
        $heard = array_filter(
            $page->complaints(),
            static fn (string $one): bool => ! str_contains($one, 'ERR_INTERNET_DISCONNECTED'),
        );
        self::assertSame([], $heard);
    }

    public function test_with_the_tool_for_pieces_one_is_pushed_whole_beside_its_parts(): void
    {
        [, $code] = $this->startLesson('Pushed pieces');
        $this->maths();
        $page = self::seeWhole($this->join('Tove', $code));
        $this->put($page, 'Measure', 'clock');
        $middle = static fn (): mixed => $page->run(
            'const b = document.querySelector(".piece-parts").getBoundingClientRect(); return Math.round(b.left + b.width / 2)',
        );
        $before = $middle();
        // A tap beside the hands does nothing, a drag there takes the whole clock along.
        $page->draw('.piece-parts', [[0.3, 0.75]])->draw('.piece-parts', [[0.3, 0.75], [0.4, 0.7], [0.6, 0.7]]);
        $page->until(
            fn (): bool => array_column($this->log('Tove'), 'kind') === ['add', 'arrange'],
            'the clock pushed, and nothing else',
        );
        self::assertGreaterThan($before, $middle());
        self::assertStringContainsString('Clock at 9:00', $this->says($page));
        self::assertSame([], $page->complaints());
    }

    public function test_a_number_that_is_left_holds_and_words_are_none(): void
    {
        [, $code] = $this->startLesson('Numbers in pieces');
        $this->maths();
        $page = self::seeWhole($this->join('Bram', $code));
        $this->put($page, 'Data', 'sum_table');
        $page->draw('[data-part="cell:0"]', [[0.5, 0.5]]);
        $page->type('.piece-number', '−12')->draw('.page-paper', [[0.05, 0.95]]);
        $this->waitFor($page, 'Adds up to −12', 'a number that was left');
        $page->draw('[data-part="cell:1"]', [[0.5, 0.5]]);
        $page->type('.piece-number', 'seven')->press(self::ENTER);
        self::assertSame([], $page->all('.piece-number'));
        $this->waitFor($page, 'Adds up to −12', 'words that are no number');
        self::assertSame([], $page->complaints());
    }

    public function test_a_plan_asks_what_a_piece_shows_and_its_settings_are_changed_and_set_free(): void
    {
        $teacher = $this->person('planner')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-new .btn-go')->click('#plan-add');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === 1, 'a prompt');
        $teacher->choose('#question-new', 'state');
        (new WebDriverSelect($teacher->seen('#question-list [data-field=piece]')))->selectByValue('clock');
        self::assertSame(
            ['time', 'hands'],
            $teacher->run('return [...document.querySelectorAll("#question-list [data-field=fact] option")].filter((o) => !o.hidden).map((o) => o.value)'),
        );
        $teacher->run(
            'const field = document.querySelector("#question-list [data-field=fact]"); [...field.options].find((o) => !o.hidden && o.value === "hands").selected = true; field.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $teacher->type('#question-list [data-field=right]', '3:30');
        $teacher->option('#plan-bench [data-tool=pieces]');
        $this->pick($teacher, 'Measure', 'clock');
        $teacher->type('.piece-settings [name=hours]', '{h}')->click('.piece-free input')->click('.piece-add');
        $teacher->until(fn (): bool => count($teacher->all('.piece-parts')) === 1, 'the clock on the page');
        // Twice tapped with Move, it is set anew.
        $teacher->option('#plan-bench [data-tool=move]');
        $teacher->draw('#plan-bench .page-paper', [[0.5, 0.5]])->draw('#plan-bench .page-paper', [[0.5, 0.5]]);
        $teacher->seen('.piece-change');
        self::assertSame('{h}', $teacher->run('return document.querySelector(".piece-settings [name=hours]").value'));
        $teacher->type('.piece-settings [name=minutes]', '20')->click('.piece-change');
        $this->waitFor($teacher, 'Clock at 9:20', 'the clock set anew');
        $teacher->until(function (): bool {
            $prompt = (array) json_decode((string) $this->sql('select details from prompts where plan_id is not null order by rowid desc limit 1'), true);

            return ($prompt['questions'][0]['right'] ?? '') === '3:30' && ($prompt['questions'][0]['fact'] ?? '') === 'hands';
        }, 'the question saved');
        self::assertSame([], $teacher->complaints());
    }

    /** @param  array<string, int|string>  $settings */
    private function prepare(string $kind, array $settings, string $fact, string $right): void
    {
        $object = ['type' => 'manipulative', 'kind' => $kind, 'x' => 4000, 'y' => 2500, 'settings' => $settings];
        $question = ['id' => 'q', 'kind' => 'state', 'words' => 'Make it level', 'spot' => null] +
            ['piece' => $kind, 'fact' => $fact, 'right' => $right];
        $this->sql(
            'update prompts set pages = ?, details = ? where id = (select prompt_id from live_sessions order by rowid desc limit 1)',
            [
                json_encode([['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => $object]]]]),
                json_encode(['questions' => [$question]]),
            ],
        );
    }

    private function put(Page $page, string $subject, string $kind): void
    {
        $page->option('[data-tool=pieces]');
        $this->pick($page, $subject, $kind);
        $page->click('.piece-add');
        $page->until(fn (): bool => count($page->all('.piece-parts')) === 1, "{$kind} on the page");
    }

    private function pick(Page $page, string $subject, string $kind): void
    {
        if (! $page->seen('.piece-settings')->isDisplayed()) {
            $page->click('[data-tool=pieces]');
        }
        $page->click("[data-subject={$subject}]")->click("button[data-piece={$kind}]");
    }

    private function work(Page $page, string $part, string $how, string $pointer = 'mouse'): void
    {
        $at = "[data-part=\"{$part}\"]";
        match ($how) {
            'drag' => $page->draw($at, [[0.5, 0.5], [2.0, 0.7], [3.2, 1.2]], $pointer),
            'push' => $page->draw($at, [[0.03, 0.06], [0.1, 0.1], [0.18, 0.16]], $pointer),
            'turn' => $page->draw($at, [[0.5, 0.5], [0.5, 1.5], [0.4, 2.5]], $pointer),
            'lift' => $page->draw($at, [[0.5, 0.5], [0.5, -1.0], [0.5, -2.2]], $pointer),
            default => $page->draw($at, [[0.5, 0.4]], $pointer),
        };
        if ($how === 'type') {
            $page->type('.piece-number', $part === 'value:1' ? '10' : '15')->press(self::ENTER);
        }
    }

    private function workByKeys(Page $page, string $part, string $how): void
    {
        $page->run('document.querySelector(arguments[0]).focus()', "[data-part=\"{$part}\"]");
        if ($how === 'drag' || $how === 'push') {
            $page->press(self::RIGHT)->press(self::RIGHT)->press("\u{E015}");
        } elseif ($how === 'turn') {
            $page->press("\u{E015}")->press("\u{E015}");
        } elseif ($how === 'lift') {
            foreach (range(1, 6) as $ignored) {
                $page->press("\u{E013}");
            }
        } else {
            $page->press(self::ENTER);
        }
        if ($how === 'type') {
            $page->type('.piece-number', '7')->press(self::ENTER);
        }
    }

    private function hang(Page $page, int $at, int $times, string $pointer): void
    {
        for ($i = 0; $i < $times; $i++) {
            $page->draw("[data-part=\"hook:{$at}\"]", [[0.5, 0.5]], $pointer);
        }
    }

    private function dragTo(Page $page, string $part, string $to): void
    {
        $far = $page->run(
            <<<'JS'
            const [a, b] = [...arguments].map((key) => document.querySelector(`[data-part="${key}"]`).getBoundingClientRect());
            return (b.left + b.width / 2 - a.left) / a.width;
            JS,
            $part,
            $to,
        );
        self::assertIsNumeric($far);
        $page->draw("[data-part=\"{$part}\"]", [[0.5, 0.5], [((float) $far + 0.5) / 2, 0.6], [(float) $far, 0.5]]);
    }

    private function says(Page $page): string
    {
        return (string) $page->run('return document.querySelector(".piece-parts")?.getAttribute("aria-label") ?? ""');
    }

    private function waitFor(Page $page, string $says, string $what): void
    {
        $page->until(fn (): bool => str_contains($this->says($page), $says), "{$what}: {$says}");
    }

    private function maths(): void
    {
        $this->sql(
            'update live_sessions set tray = ? where id = (select id from live_sessions order by rowid desc limit 1)',
            [json_encode(['now' => ['kind' => 'maths', 'tools' => []], 'before' => null, 'changed' => 0])],
        );
    }
}
