<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\BrowserTestCase;

/** Asked, answered and counted; chosen, shown and stepped through; checked, seen and grouped. */
final class AskTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    public function test_a_quick_ask_counts_while_it_is_answered_and_is_shown_when_the_teacher_shows_it(): void
    {
        [$teacher, $code] = $this->startLesson();
        $tamsin = $this->join('Tamsin', $code);
        $rafe = $this->join('Rafe', $code, 390, 844);
        $teacher->press('a')->type('#ask-words', 'Which way does it turn?');
        $teacher->click('#ask-own summary');
        $teacher->run('document.querySelector("#ask-options").value = "Left\\n*Right"');
        $teacher->click('#ask-form .btn-go')->waitForText('#ask-body', '0 of 2 answered');
        $tamsin->waitForText('#quick-ask', 'Which way does it turn?');
        $rafe->seen('#quick-ask');
        $tamsin->click('#quick-ask label:nth-of-type(2)')->waitForText('#quick-ask-state', 'Your answer is in');
        $rafe->click('#quick-ask label:nth-of-type(1)')->waitForText('#quick-ask-state', 'Your answer is in');
        $teacher->waitForText('#ask-body', '2 of 2 answered');
        // What is being written for a run is still there when the count has gone on.
        $teacher->click('#ask-run summary')->click('#run-cards [data-cards=add]')->type('.run-card textarea', 'F?');
        $rafe->click('#quick-ask label:nth-of-type(2)');
        $teacher->waitForText('#ask-body', '1 changed from Left to Right');
        self::assertSame(
            ['F?', true],
            $teacher->run(
                'return [document.querySelector("#ask-run[open] .run-card textarea")?.value, document.activeElement.closest(".run-card") !== null]',
            ),
        );
        self::assertFalse($rafe->find('#quick-ask-tally')->isDisplayed());
        $teacher->click('#ask-body [data-on*=tally]');
        $rafe->seen('#quick-ask-tally');
        self::assertStringNotContainsString('Right:', $rafe->text('#quick-ask-state'));
        // A page that is loaded again has it all.
        $tamsin->driver->navigate()->refresh();
        $tamsin->seen('#quick-ask-tally');
        self::assertTrue(
            $tamsin->run('return document.querySelector("#quick-ask label:nth-of-type(2) input").checked'),
        );
        $teacher->click('#ask-body [data-post$=close]');
        $tamsin->waitForText('#quick-ask-state', 'Closed');
        $teacher->click('#ask-body [data-post$=ask-away]');
        $tamsin->until(fn (): bool => ! $tamsin->find('#quick-ask')->isDisplayed(), 'the ask to be put away');
        foreach ([$teacher, $tamsin, $rafe] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_two_keys_ask_one_key_shows_and_a_bar_chooses_who_stands_behind_it(): void
    {
        [$teacher, $code] = $this->startLesson();
        $screen = $this->person('class screen')->visit((string) $teacher->find('#open-screen')->getAttribute('href'));
        $ines = $this->join('Ines', $code);
        $jago = $this->join('Jago', $code, 390, 844);
        foreach (['Ines' => $ines, 'Jago' => $jago] as $name => $student) {
            $student->draw('.page-paper', [[0.2, 0.3], [0.5, 0.4]]);
            $student->until(fn (): bool => $this->stored($name) === 1, "{$name}'s stroke");
        }
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 2, 'two tiles');
        $teacher->press('a')->press('c')->waitForText('#ask-body', '0 of 2 answered');
        $screen->waitForText('.shown-choices', 'D');
        $ines->seen('#quick-ask');
        $ines->click('#quick-ask label:nth-of-type(2)');
        $jago->click('#quick-ask label:nth-of-type(3)');
        $teacher->until(
            fn (): bool => array_map(fn ($one): string => $one->getText(), $teacher->all('.tile-choice')) === ['B', 'C'],
            'what each chose on their tiles',
        );
        $teacher->waitForText('#ask-body', '2 of 2 answered')->press(self::ESCAPE)->press('/');
        $screen->seen('.shown .tally-bars');
        $jago->seen('#quick-ask-tally');
        $teacher->press('/');
        $screen->until(fn (): bool => $screen->all('.shown .tally-bars') === [], 'hidden again: nothing is right here');
        $teacher->press('a')->waitForText('#ask-body', '2 of 2 answered');
        $teacher->click('.tally-bar:nth-child(3) .tally-who')->waitForText('#chosen-count', '1 chosen');
        self::assertSame('Jago', $teacher->text('.tile.is-chosen .name-real'));
        $teacher->press(self::ESCAPE)->press('a')->click('#ask-body [data-post$=one-of-each]');
        $screen->until(
            fn (): bool => $screen->run(
                'return [...document.querySelectorAll(".shown-canvas")].filter((one) => one.naturalWidth > 0).length',
            ) === 2,
            'one of each',
        );
        $teacher->press(self::ESCAPE)->press('s')->click('#ask-works')->waitForText('#desk-notice', 'agree');
        $ines->waitForText('#quick-ask', 'Which one do you agree with?');
        // A letter after A has been used up does what it always does.
        // Escape shuts the panel first, and lets go of who is chosen then: one who is chosen would be asked alone.
        $teacher->until(
            fn (): bool => $teacher->press(self::ESCAPE)->all('.tile.is-chosen') === [],
            'nobody chosen',
        );
        $teacher->press('a')->press('n')->waitForText('#ask-body', '0 of 2 answered');
        $teacher->press('n');
        $teacher->until(fn (): bool => $teacher->run('return document.body.dataset.names') === 'seats', 'names');
        foreach ([$teacher, $screen, $ines, $jago] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_a_quick_ask_is_answered_by_drawing_over_work_that_stays_as_it_is(): void
    {
        [$teacher, $code] = $this->startLesson();
        $olwen = $this->join('Olwen', $code);
        $piers = $this->join('Piers', $code, 390, 844);
        $olwen->draw('#page-frame', [[0.2, 0.7], [0.5, 0.8]]);
        $olwen->until(fn (): bool => $this->stored('Olwen') === 1, 'the own stroke');
        $own = $this->inked($olwen, '#page-frame');
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 2, 'two tiles');
        $teacher->press('a')->type('#ask-words', 'Draw the forces on the plank');
        $teacher->click('#ask-form [data-kind=drawing]')->waitForText('#ask-body', '0 of 2 sent their drawing');
        // The grid turns to the drawings, which are empty.
        $teacher->until(fn (): bool => $teacher->all('#rail-ask[aria-pressed=true]') !== [], 'the drawings');
        foreach ([$olwen, $piers] as $student) {
            $student->waitForText('#quick-ask', 'Draw the forces');
            $student->find('#pad-page-frame[data-ready]');
        }
        // While the pen is still down the desk has it.
        $olwen->draw('#pad-page-frame', [[0.2, 0.3], [0.5, 0.4], [0.8, 0.3]], 'mouse', 16, false);
        $tile = fn (int $n): int => $this->inked($teacher, ".tile:nth-child({$n}) .tile-page");
        $teacher->until(fn (): bool => $tile(1) > 0, 'ink on the tile before it is finished');
        $olwen->lift();
        $olwen->until(fn (): bool => $this->stored('Olwen') === 2, 'the stroke is stored');
        self::assertSame($own, $this->inked($olwen, '#page-frame'), 'the own canvas is as it was');
        // Keys mean the pad, and not what lies under it.
        $olwen->press("\u{E009}", 'z');
        $olwen->until(fn (): bool => $this->inked($olwen, '#pad-page-frame') === 0, 'undone on the pad');
        self::assertSame($own, $this->inked($olwen, '#page-frame'));
        $olwen->draw('#pad-page-frame', [[0.2, 0.5], [0.8, 0.5]]);
        $piers->draw('#pad-page-frame', [[0.3, 0.3], [0.7, 0.7]], 'touch');
        $teacher->until(fn (): bool => $tile(2) > 0, 'the drawing of a finger');
        $olwen->click('#ask-pad-send')->seen('#ask-pad-again');
        $teacher->waitForText('#ask-body', '1 of 2 sent their drawing');
        // Sent is sent, until it is taken back; a page that is loaded again has it all.
        $olwen->driver->navigate()->refresh();
        $olwen->find('#pad-page-frame[data-ready]');
        $olwen->seen('#ask-pad-again');
        self::assertGreaterThan(0, $this->inked($olwen, '#pad-page-frame'));
        $olwen->click('#ask-pad-again')->seen('#ask-pad-send');
        // Folded away, the own canvas is drawn on again.
        $olwen->click('#quick-ask-fold')->draw('#page-frame', [[0.2, 0.2], [0.5, 0.3]]);
        $olwen->until(fn (): bool => $this->inked($olwen, '#page-frame') > $own, 'a stroke on the own canvas');
        // Large, into the line-up, before the class, checked: as any canvas.
        $teacher->press(self::ESCAPE)->run('document.querySelectorAll(".tile-open")[1].click()');
        $teacher->find('#closeup-page-frame[data-ready]');
        $teacher->press('j');
        $teacher->until(fn (): bool => count($teacher->all('.lineup-entry')) === 1, 'in the line-up');
        $teacher->press('3')->press(self::ESCAPE);
        self::assertSame('3', $teacher->run('return document.querySelectorAll(".tile")[1].dataset.level'));
        $teacher->press('a')->click('#ask-body [data-post$=ask-away]');
        $piers->until(fn (): bool => ! $piers->find('#quick-ask')->isDisplayed(), 'the ask to be put away');
        $piers->draw('#page-frame', [[0.4, 0.4], [0.6, 0.6]], 'touch');
        $piers->until(fn (): bool => $this->stored('Piers') === 2, 'the own canvas is drawn on');
        $teacher->run('document.querySelector("#rail-1").click()');
        $teacher->until(fn (): bool => $tile(1) > 0, 'the prompt again');
        foreach ([$teacher, $olwen, $piers] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_a_drawing_that_is_interrupted_in_every_way_loses_nothing(): void
    {
        [$teacher, $code] = $this->startLesson();
        $ruan = $this->join('Ruan', $code, 390, 844);
        $teacher->find('.tile');
        $pad = fn (): int => $this->inked($ruan, '#pad-page-frame');
        $draws = function (int $n, string $where = '#pad-page-frame') use ($ruan): void {
            $ruan->draw($where, [[0.2, 0.1 + 0.08 * $n], [0.8, 0.1 + 0.08 * $n]], 'touch');
            $ruan->until(fn (): bool => $this->stored('Ruan') === $n, "stroke {$n}");
        };
        $teacher->press('a')->press('d');
        $ruan->find('#pad-page-frame[data-ready]');
        $draws(1);
        // Attention in the middle of it.
        $teacher->press(self::ESCAPE)->press('p');
        $ruan->seen('#cover');
        $teacher->press('p');
        $ruan->until(fn (): bool => ! $ruan->find('#cover')->isDisplayed(), 'pens up');
        $draws(2);
        // No network for a moment, and a page that is loaded again.
        $ruan->offline(true);
        $ruan->draw('#pad-page-frame', [[0.2, 0.5], [0.8, 0.5]], 'touch');
        $ruan->offline(false);
        $ruan->until(fn (): bool => $this->stored('Ruan') === 3, 'what was drawn without a network');
        $drawn = $pad();
        $ruan->driver->navigate()->refresh();
        $ruan->find('#pad-page-frame[data-ready]');
        $ruan->until(fn (): bool => $pad() > 0.9 * $drawn, 'all of it after a reload');
        // Another ask takes its place: the pad goes, and the own canvas can be drawn on beside the choices.
        $teacher->press('a')->press('y');
        $ruan->seen('#quick-ask-body .question');
        self::assertFalse($ruan->find('#ask-pad')->isDisplayed());
        $ruan->click('#quick-ask-fold');
        $draws(4, '#page-frame');
        // A drawing once more begins empty, and unfolded; its canvas is a new one.
        $canvas = fn (): mixed => $ruan->run('return document.querySelector("#pad-page-frame").dataset.ready');
        $before = $canvas();
        $teacher->press('a')->press('d');
        $ruan->seen('#ask-pad');
        $ruan->until(fn (): bool => $canvas() !== $before && $pad() === 0, 'an empty pad');
        $draws(5);
        // Its end: nothing more is drawn on it, nothing can be sent, and what is there stays to be seen.
        // The panel may still have the one before while the student draws already.
        $teacher->waitForText('#ask-body', 'Quick ask 3')->click('#ask-body [data-post$=close]');
        $ruan->waitForText('#quick-ask-state', 'Closed');
        self::assertFalse($ruan->find('#ask-pad-send')->isDisplayed());
        $there = $pad();
        $ruan->draw('#pad-page-frame', [[0.2, 0.9], [0.8, 0.9]], 'touch');
        self::assertSame($there, $pad());
        // Half a minute more, and it goes on.
        $teacher->click('#ask-body [data-post$=longer]');
        $ruan->seen('#ask-pad-send');
        $draws(6);
        $ruan->click('#ask-pad-send');
        $teacher->waitForText('#ask-body', '1 of 1 sent their drawing');
        // The first drawings are still to be seen.
        $teacher->click('#ask-before summary')->click('#ask-before [data-do=look]');
        $teacher->until(fn (): bool => $this->inked($teacher, '.tile .tile-page') > 0, 'the first drawings');
        self::assertSame(
            [],
            array_filter(
                [...$teacher->complaints(), ...$ruan->complaints()],
                static fn (string $one): bool => ! str_contains($one, 'ERR_INTERNET_DISCONNECTED'),
            ),
        );
    }

    public function test_chosen_work_is_shown_side_by_side_and_the_class_is_seen_and_grouped(): void
    {
        [$teacher, $code] = $this->startLesson();
        $screen = $this->person('class screen')->visit((string) $teacher->find('#open-screen')->getAttribute('href'));
        $class = [];
        foreach (['Tamsin', 'Rafe', 'Wren'] as $i => $name) {
            $class[$name] = $this->join($name, $code);
            $class[$name]->draw('.page-paper', [[0.2, 0.2 + 0.2 * $i], [0.8, 0.25 + 0.2 * $i]]);
            $class[$name]->until(fn (): bool => $this->stored($name) === 1, "{$name}'s stroke");
        }
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 3, 'three tiles');
        $teacher->run(
            'document.querySelectorAll(".tile-name").forEach((one) => one.getAttribute("aria-pressed") === "true" || one.click())',
        );
        $teacher->waitForText('#chosen-count', '3 chosen');
        $teacher->press('j');
        $teacher->until(fn (): bool => count($teacher->all('.lineup-entry')) === 3, 'three in the line-up');
        $teacher->press('3')->press(self::ESCAPE);

        // On the students' own pages too, one and then two; whose it is hears of it, and nobody is named.
        $teacher->run(
            'document.querySelector("#shown-on-both").click()',
        );
        $teacher->press(']');
        $screen->until(fn (): bool => count($screen->all('.shown-canvas')) === 1, 'one on the class screen');
        $class['Wren']->until(
            fn (): bool => $class['Wren']->run(
                'return document.querySelector("#shown-work .shown-canvas")?.naturalWidth > 0',
            ) === true,
            'it on a student\'s page',
        );
        $class['Tamsin']->waitForText('#notice', 'without your name');
        $teacher->run(
            'document.querySelectorAll(".lineup-entry [data-do=show-entry]")[1].dispatchEvent(new MouseEvent("click", { bubbles: true, ctrlKey: true }))',
        );
        $screen->until(
            fn (): bool => $screen->run(
                'return [...document.querySelectorAll(".shown-canvas")].filter((one) => one.naturalWidth > 0).length',
            ) === 2,
            'two side by side',
        );
        self::assertStringNotContainsString('Tamsin', (string) $screen->driver->getPageSource());
        $class['Wren']->click('#shown-work-away');
        self::assertFalse($class['Wren']->find('#shown-work')->isDisplayed());
        $teacher->press('s')->click('#take-down')->press("\u{E00C}");
        $class['Rafe']->until(
            fn (): bool => ! $class['Rafe']->find('#shown-work')->isDisplayed(),
            'the own canvas again',
        );

        $teacher->press('m')->waitForText('#picture-body', '100 %');
        $teacher->click('#groups-form .btn-slate')->waitForText('#groups-made', 'Group 1');
        $teacher->click('[data-do=keep-groups]')->waitForText('#desk-notice', 'Saved 1 group');
        $teacher->press(self::ESCAPE);
        self::assertFalse($teacher->find('#picture')->isDisplayed());
        self::assertSame('1', $this->sql("select \"group\" from seats where name = 'Wren'"));
        foreach ([$teacher, $screen, ...array_values($class)] as $page) {
            self::assertSame([], $page->complaints());
        }
    }

    public function test_cards_are_written_ordered_played_in_teams_and_given_as_practice(): void
    {
        [$teacher, $code] = $this->startLesson('Cards');
        $phone = $this->join('Ikenna', $code, 390, 844);
        $other = $this->join('Solveig', $code);
        $screen = $this->person('screen')->visit(
            (string) $teacher->run('return document.querySelector("#open-screen").href'),
        );
        $teacher->press('a');
        self::writeRun($teacher, "F at the end? | 80 N\nWhich way? | up; *down");
        $teacher->click('#run-cards [data-cards=add]');
        $teacher->find('.run-card:nth-child(3) textarea');
        $teacher->choose('.run-card:nth-child(3) [data-card=kind]', 'worked');
        $teacher->type('.run-card:nth-child(3) textarea', '240 × 1 = F × 3');
        $teacher->choose('.run-card:nth-child(2) [data-card=look]', 'right');
        // The worked answer goes up by keys, to between the two questions; the first question goes last.
        $teacher->run('document.querySelector(".run-card:nth-child(3) .run-card-grip").focus()');
        $teacher->press("\u{E013}");
        $teacher->run('document.querySelector(".run-card:nth-child(1) .run-card-grip").focus()');
        $teacher->press("\u{E015}")->press("\u{E015}");
        self::assertSame(
            ['240 × 1 = F × 3', 'Which way?', 'F at the end?'],
            $teacher->run('return [...document.querySelectorAll(".run-card textarea")].map((one) => one.value)'),
        );
        $teacher->choose('#run-form [name=teams]', '2')->type('#run-form [name=team_names]', 'Arches, Cables');
        $teacher->click('#run-form [name=auto]')->click('#run-form .btn-slate');
        $phone->waitForText('#quick-ask-title', 'Worked answer')->waitForText('#quick-ask', '240 × 1 = F × 3');
        $screen->waitForText('#shown', '240 × 1 = F × 3');
        $teacher->waitForText('#ask-body', 'Card 1 of 3')->click('.run-now .btn-slate');
        $phone->waitForText('#quick-ask', 'Which way?');
        self::assertSame(
            ['You’re in Arches', 'You’re in Cables'],
            (static function (string ...$teams): array {
                sort($teams);

                return $teams;
            })($phone->text('#quick-ask-team'), $other->text('#quick-ask-team')),
        );
        $phone->click('#quick-ask label:nth-of-type(2)')->waitForText('#quick-ask-state', 'Your answer is in');
        // Two presses fast after one another show the answers once and do not skip them.
        $teacher->waitForText('.run-now .btn-slate', 'Show the answers');
        $teacher->run('const b = document.querySelector(".run-now .btn-slate"); b.click(); b.click()');
        $screen->waitForText('#shown', 'Right: down')->waitForText('.shown-teams', 'Arches');
        $teacher->waitForText('.run-now .btn-slate', 'Next card');
        self::assertStringContainsString('Card 2 of 3', $teacher->text('.run-now'));
        $phone->driver->navigate()->refresh();
        $phone->seen('#quick-ask-tally');
        $teacher->click('.run-now .btn-slate')->waitForText('.run-now', 'Card 3 of 3');
        $teacher->click('.run-now .btn-slate')->waitForText('#ask-body', 'How everyone did');
        $phone->until(fn (): bool => ! $phone->find('#quick-ask')->isDisplayed(), 'the run to be over');
        // The cards are still there, for the next class or for everyone's own time.
        $teacher->run('document.querySelector("#ask-run").open = true');
        self::assertCount(3, $teacher->all('.run-card'));
        $teacher->click('[data-do="run-practice"]')->waitForText('#desk-notice', 'Prompt 2 holds the practice');
        self::assertSame('open', $this->sql("select state from prompts where words like 'Practice%'"));
    }

    public function test_offered_work_moves_between_columns_by_hand_and_by_keys_and_is_voted_on(): void
    {
        [$teacher, $code] = $this->startLesson('Board');
        $screen = $this->person('screen')->visit(
            (string) $teacher->run('return document.querySelector("#open-screen").href'),
        );
        $phone = $this->join('Wren', $code, 390, 844);
        $phone->draw('.page-paper', [[0.2, 0.2], [0.5, 0.6]]);
        $teacher->until(fn (): bool => $this->stored('Wren') === 1, 'the stroke');
        $teacher->press('e')->click('#offers [name=open]')->waitForText('#offers-body', 'On one page');
        foreach (['Two triangles', 'A counterweight'] as $words) {
            $phone->click('#more')->click('#offer')->seen('#offer-window');
            $phone->type('#offer-words', $words)->click('#offer-window .btn-go');
            $teacher->waitForText('.board', $words);
        }
        $teacher->run('document.querySelector("#offers [data-body*=headings]").click()');
        $teacher->find('.board[data-columns="2"]');
        $columns = static fn (): mixed => $teacher->run(
            'return [...document.querySelectorAll(".board-column")].map((one) => [...one.querySelectorAll(".offer-number")].map((n) => n.textContent))',
        );
        $teacher->until(fn (): bool => $columns() === [['1', '2'], []], 'two in the first column');
        // By keys into the other column, and back by hand to the first place.
        $teacher->run('document.querySelector(".board-column:first-child .offer:nth-child(2) .offer-grip").focus()');
        $teacher->press("\u{E014}")->until(fn (): bool => $columns() === [['1'], ['2']], 'the second in the other column');
        $in = fn (string $number): bool => $this->sql('select "column" from offers where number = ?', [$number]) === 1;
        $teacher->until(fn (): bool => $in('2'), 'the second stored in the other column');
        $teacher->type('.board-column:nth-child(2) input', "By balance\n");
        $screen->driver->navigate()->refresh();
        $teacher->run('document.querySelector("#offers [data-body*=board]").click()');
        $screen->waitForText('.shown-board', 'By balance');
        // The column goes to the left with its work.
        $teacher->run('document.querySelector(".board-column:nth-child(2) .board-grip").focus()');
        $teacher->press("\u{E013}")->until(fn (): bool => ! $in('2') && $in('1'), 'the columns to have changed places');
        $teacher->choose('.offer-vote [name=votes]', '1')->click('.offer-vote .btn');
        $phone->waitForText('#quick-ask', 'Which work gets your vote?')->click('#quick-ask label:nth-of-type(2)');
        $phone->waitForText('#quick-ask-state', 'Your answer is in');
        self::assertTrue($phone->run('return document.querySelector("#quick-ask input:not(:checked)").disabled'));
        self::assertStringNotContainsString('vote', $screen->text('.shown-board'));
        $teacher->run('document.activeElement.blur()');
        $teacher->press('/');
        $screen->waitForText('.shown-votes', 'vote');
        self::assertStringContainsString('2 A counterweight', $screen->text('.shown-column:first-child'));
        self::assertStringContainsString('1 vote', $screen->text('.shown-column:first-child'));
    }
}
