<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** A lesson with a teacher, a helper and eight students in browsers of their own, and a guest whom nobody asked. */
final class RoomTest extends BrowserTestCase
{
    private const NAMES = ['Tamsin', 'Rafe', 'Iona', 'Bram', 'Wren', 'Otis', 'Aino', 'نور'];

    private const LINE = [[0.2, 0.3], [0.3, 0.4], [0.4, 0.3], [0.5, 0.45], [0.6, 0.3]];

    private const ESCAPE = "\u{E00C}";

    private Page $teacher;

    private Page $helper;

    private string $code;

    /** @var array<string, Page> */
    private array $class = [];

    public function test_a_lesson_with_a_helper_and_eight_students(): void
    {
        [$this->teacher, $this->code] = $this->startLesson();
        $this->helperComes();
        $this->everybodyKnocks();
        $this->theGuestGoes();
        $this->outAndBack();
        $this->helping();
        $this->hands();
        $this->pens();
        $this->timing();
        $this->pacing();
        $this->handingOut();
        $this->leading();
        $this->covering();
        $this->changingDevices();
        $this->ending();
        foreach ([$this->teacher, $this->helper, $this->class['Tamsin'], $this->class['Rafe']] as $page) {
            self::assertSame(
                [],
                array_filter(
                    $page->complaints(),
                    static fn (string $one): bool => preg_match('/status of (403|409)/', $one) !== 1,
                ),
            );
        }
    }

    private function helperComes(): void
    {
        $session = $this->text("select id || '/' || helper_key from live_sessions");
        $this->helper = $this->person('helper')->visit(self::$crag->address()."/beside/{$session}");
        $this->helper->type('#name', 'Mr Adeyemi')->click('.btn-go');
        $this->helper->find('#grid[data-ready]');
        self::assertFalse($this->helper->find('#pens')->isEnabled());
        self::assertSame([], $this->helper->all('#end'));
    }

    private function everybodyKnocks(): void
    {
        $this->teacher->press('d');
        $this->teacher->click('.door-states .chip:nth-child(2)')->waitForText('#door-button', 'Knock');
        foreach (self::NAMES as $i => $name) {
            $this->class[$name] = $name === 'Rafe' ? $this->person($name, 390, 844) : $this->person($name);
            // The browser's own offline switch leaves open sockets alone.
            $this->class[$name]->developer('Page.addScriptToEvaluateOnNewDocument', [
                'source' => 'const Real = WebSocket; window.sockets = []; window.WebSocket = class extends Real { constructor(address) { super(window.isCut ? "ws://127.0.0.1:1/" : address); window.sockets.push(this); } };',
            ]);
            $this->class[$name]
                ->visit(self::$crag->address().'/join/'.$this->code)
                ->type('#name', $name)
                ->click('form > .btn-go');
            $this->class[$name]->waitForText('h1', 'You’re knocking');
        }
        $this->helper->waitForText('#door-button', '8');
        // One of them under another name, that one alone, and then all the others.
        $this->teacher->run(
            '[...document.querySelectorAll("#doorway .seat-line")].find((one) => one.textContent.includes("Bram")).querySelector("[data-do=rename]").click()',
        );
        $this->teacher->type('#rename-name', 'Bramwell')->click('#rename .btn-go');
        $this->teacher->waitForText('#doorway', 'Bramwell');
        $this->teacher->run(
            '[...document.querySelectorAll("#doorway .seat-line")].find((one) => one.textContent.includes("Tamsin")).querySelector(".btn-go").click()',
        );
        $this->class['Tamsin']->find('#page-frame[data-ready]');
        self::assertStringContainsString('knocking', $this->class['Rafe']->text('h1'));
        $this->teacher->click('#doorway .knocking > .panel-row .btn-go');
        foreach ($this->class as $student) {
            $student->find('#page-frame[data-ready]');
        }
        $this->class['Bram']->waitForText('.strip-who', 'Bramwell');
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 8, 'eight tiles');
        $this->helper->until(fn (): bool => count($this->helper->all('.tile')) === 8, 'eight tiles at the helper\'s');
    }

    private function theGuestGoes(): void
    {
        $guest = $this->person('guest')->visit(self::$crag->address().'/join/'.$this->code);
        $guest->type('#name', 'Somebody Else')->click('form > .btn-go')->waitForText('h1', 'knocking');
        $this->teacher->run('[...document.querySelectorAll("#doorway [data-do=turn-away]")].at(-1)?.click()');
        $this->teacher->until(function (): bool {
            $this->teacher->run(
                'document.querySelector("#turn-away[open]") ?? document.querySelector("#doorway [data-do=turn-away]")?.click()',
            );

            return $this->teacher->all('#turn-away[open]') !== [];
        }, 'the window for a reason');
        $this->teacher->type('#turn-away-reason', 'Please use your own name.')->click('#turn-away .btn-end');
        $guest->waitForText('main', 'Please use your own name.');
        $guest->click('#knock')->waitForText('h1', 'knocking');
        $this->teacher->until(fn (): bool => $this->teacher->all('#turn-away[open]') === [], 'the window to close');
        $this->teacher->press('y')->click('#waiting-all .is-knocking .btn-go')->press(self::ESCAPE);
        $guest->find('#page-frame[data-ready]');
        $guest->draw('.page-paper', self::LINE, 'pen');
        $guest->until(fn (): bool => $this->stored('Somebody Else') === 1, 'the guest\'s stroke');

        $this->teacher->run(
            '[...document.querySelectorAll(".seat-list button")].find((one) => one.textContent.includes("Somebody")).click()',
        );
        $this->teacher->click('[data-do=send-out]');
        $this->teacher->click('#send-out input[name=keep]')->click('#send-out .btn-end');
        $guest->waitForText('main', 'Talk to');
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 8, 'no tile of the guest');
        self::assertSame(1, $this->stored('Somebody Else'));
        $again = $this->person('the guest again')->visit(self::$crag->address().'/join/'.$this->code);
        $again
            ->type('#name', 'somebody else')
            ->click('form > .btn-go')
            ->waitForText('main', 'is keeping this seat closed');
        $this->teacher->press(self::ESCAPE);
        foreach ([$guest, $again] as $page) {
            $page->quit();
        }
    }

    /** Sent out for a moment, and back with everything. */
    private function outAndBack(): void
    {
        $aino = $this->class['Aino'];
        $aino->draw('.page-paper', self::LINE, 'pen');
        $aino->until(fn (): bool => $this->stored('Aino') === 1, 'Aino\'s stroke');
        $this->teacher->press('d');
        $this->teacher->run(
            '[...document.querySelectorAll(".seat-list button")].find((one) => one.textContent.includes("Aino")).click()',
        );
        $this->teacher->until(fn (): bool => str_contains($this->teacher->text('#talk-body'), 'Aino'), 'Aino');
        $this->teacher->click('[data-do=send-out]')->click('#send-out .btn-end');
        $aino->waitForText('main', 'Please come and talk to me.');
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 7, 'a tile less');
        $this->teacher->click('#desk-notice button');
        $aino->find('#page-frame[data-ready]');
        $aino->until(fn (): bool => $this->inked($aino, '#page') > 50, 'the own work');
        foreach ([$this->teacher, $this->helper] as $desk) {
            $desk->until(
                fn (): bool => $this->inked(
                    $desk,
                    '.tile[data-seat="'.$this->text("select id from seats where name = 'Aino'").'"]',
                ) > 20,
                'the work on the grid again',
            );
        }
        $aino->draw('.page-paper', [[0.2, 0.7], [0.6, 0.8]], 'pen', lift: false);
        $this->teacher->until(
            fn (): bool => str_contains($this->teacher->text('#grid'), 'drawing now'),
            'ink as it is drawn, over the new channel',
        );
        $aino->lift('pen');
        $this->teacher->press(self::ESCAPE);
    }

    private function helping(): void
    {
        $this->class['Tamsin']->draw('.page-paper', self::LINE, 'pen');
        $this->class['Tamsin']->until(fn (): bool => $this->stored('Tamsin') === 1, 'a stroke');
        $this->helper->run('document.querySelector(".tile-open").focus()');
        $this->helper->press('2');
        $this->teacher->waitForText('#tally > [data-level="2"]', '1');
        $this->teacher->waitForText('#desk-notice', 'Mr Adeyemi');
        $this->helper->press('p');
        $this->helper->waitForText('#desk-notice', 'Only the teacher running this session');
    }

    private function hands(): void
    {
        foreach (['Aino' => 'Which end is the pivot?', 'Rafe' => ''] as $name => $words) {
            $this->class[$name]->click('#hand')->type('#hand-words', $words)->click('#hand-window .btn-go');
            $this->class[$name]->waitForText('#hand', 'Hand is up');
            $this->helper->waitForText('#waiting-all', $name);
        }
        $this->teacher->until(
            fn (): bool => preg_match('/Aino.*Which end.*Rafe/s', $this->waiting()) === 1,
            'two hands in order',
        );
        self::assertStringContainsString(
            'Hand up',
            (string) $this->teacher->run('return document.querySelector("#desk-heard").textContent'),
        );
        // Somebody is on the way: the hand stays, and the student is told.
        $this->helper->press('y')->click('.waiting-one[data-kind=hand] [data-body*=coming]');
        $this->class['Aino']->waitForText('#hand', 'Help is coming');
        $this->teacher->until(fn (): bool => str_contains($this->waiting(), 'you’re coming'), 'both teachers to know');
        $this->helper->click('.waiting-one [data-do=talk]');
        $this->helper->type('#talk-words', 'The left one. Measure from there.')->click('#talk-body .btn-go');
        $this->class['Aino']->waitForText('.letter', 'Measure from there');
        $this->class['Aino']->waitForText('.letter', 'Mr Adeyemi');
        $this->class['Aino']->click('.letter-read')->waitForText('#hand', 'Hand up');
        $this->teacher->until(fn (): bool => ! str_contains($this->waiting(), 'Aino'), 'one hand less');
        $this->class['Rafe']->click('#hand')->click('#hand-lower');
        $this->teacher->until(fn (): bool => ! str_contains($this->waiting(), 'Rafe'), 'no hand');
        $this->class['Otis']->click('#hand')->click('#hand-window .btn-go')->waitForText('#hand', 'Hand is up');
        $this->teacher->press('y')->click('.waiting-one .waiting-do :last-child');
        $this->class['Otis']->until(
            fn (): bool => $this->class['Otis']->text('#hand') === 'Hand up',
            'the hand to be down once it is done',
        );
        $this->teacher->press(self::ESCAPE);
        $this->helper->press(self::ESCAPE);
    }

    /** A stroke that is under way counts; what an offline device draws meanwhile waits there, and comes. */
    /** What the list of those who wait says, open or not. */
    private function waiting(): string
    {
        $said = $this->teacher->run('return document.querySelector("#waiting-all").textContent');

        return is_string($said) ? $said : '';
    }

    private function pens(): void
    {
        [$tamsin, $iona] = [$this->class['Tamsin'], $this->class['Iona']];
        $this->cut($iona, true);
        $tamsin->draw('.page-paper', [[0.3, 0.6], [0.4, 0.7], [0.5, 0.6]], 'pen', lift: false);
        $this->teacher->press('p');
        foreach ([$tamsin, $this->class['Rafe'], $this->class['نور']] as $student) {
            $student->waitForText('#cover', 'Look here');
        }
        $tamsin->until(fn (): bool => $this->stored('Tamsin') === 2, 'the stroke that was under way');
        $tamsin->lift('pen');
        self::assertTrue($tamsin->run('return document.querySelector(".sides").inert'));
        usleep(3_800_000);
        $iona->draw('.page-paper', self::LINE, 'pen');
        $iona->waitForText('#saved', 'Offline');
        $this->cut($iona, false);
        $iona->waitForText('#cover', 'Look here');
        $iona->until(
            fn (): bool => $iona->run('return document.querySelector("#saved").dataset.state') === 'held',
            'ink that waits',
        );
        self::assertSame(0, $this->stored('Iona'));
        $this->teacher->press('p');
        $iona->until(fn (): bool => $this->stored('Iona') === 1, 'the ink that waited');
        $tamsin->until(fn (): bool => ! $tamsin->find('#cover')->isDisplayed(), 'pens up');

        // For one alone.
        $this->teacher->press('d');
        $this->teacher->run(
            '[...document.querySelectorAll(".seat-list button")].find((one) => one.textContent.includes("Wren")).click()',
        );
        $this->teacher->until(fn (): bool => str_contains($this->teacher->text('#talk-body'), 'Wren'), 'Wren');
        $this->teacher->run(
            '[...document.querySelectorAll("#talk-body [data-post]")].find((one) => one.textContent.includes("Pens down")).click()',
        );
        $this->class['Wren']->seen('#cover');
        self::assertFalse($tamsin->find('#cover')->isDisplayed());
        $this->teacher->until(
            fn (): bool => str_contains($this->teacher->text('#talk-body'), 'Pens up'),
            'the way back',
        );
        $this->teacher->run(
            '[...document.querySelectorAll("#talk-body [data-post]")].find((one) => one.textContent.includes("Pens up")).click()',
        );
        $this->class['Wren']->until(
            fn (): bool => ! $this->class['Wren']->find('#cover')->isDisplayed(),
            'pens up for Wren',
        );
        $this->teacher->press(self::ESCAPE);
    }

    private function timing(): void
    {
        $this->teacher->press('t');
        $this->teacher
            ->click('#timer-pens')
            ->type('#timer-form [name=minutes]', '0')
            ->type('#timer-form [name=seconds]', '6')
            ->click('#timer-form .btn');
        $rafe = $this->class['Rafe'];
        $rafe->until(fn (): bool => preg_match('/^0:0[1-6]$/', $rafe->text('#timer')) === 1, 'the timer on a phone');
        // A page that comes late, and whose clock is an hour wrong, shows the same.
        $otis = $this->class['Otis'];
        $otis->developer('Page.addScriptToEvaluateOnNewDocument', [
            'source' => 'const real = Date.now.bind(Date); Date.now = () => real() + 3600000',
        ]);
        $otis->driver->navigate()->refresh();
        $otis->find('#page-frame[data-ready]');
        self::assertMatchesRegularExpression('/^0:0[0-6]$/', $otis->text('#timer'));
        foreach ([$rafe, $otis] as $student) {
            $student->waitForText('#cover', 'Time is up');
        }
        $this->teacher->waitForText('#pens', 'Pens up');
        $this->teacher->press(self::ESCAPE)->press('p');
        foreach ([$rafe, $otis] as $student) {
            $student->until(fn (): bool => ! $student->find('#cover')->isDisplayed(), 'pens up after the timer');
        }
    }

    private function pacing(): void
    {
        [$tamsin, $rafe] = [$this->class['Tamsin'], $this->class['Rafe']];
        $this->teacher
            ->click('#add-prompt-button')
            ->type('#add-words', 'Brace the frame.')
            ->click('#add-prompt .btn-go');
        $this->teacher->waitForText('#rail', 'not opened yet');
        $this->teacher->click('#pace')->waitForText('#pace', 'at their own pace');
        self::assertSame([], array_filter($rafe->all('#prompt-after'), static fn ($one): bool => $one->isDisplayed()));
        $this->teacher->click('#rail-2');
        $this->teacher->run(
            '[...document.querySelectorAll(".rail-actions:not([hidden]) .rail-step")].find((one) => one.textContent.trim() === "Open").click()',
        );
        $rafe->click('#prompt-after')->waitForText('#prompt-line', 'Brace the frame');
        self::seeWhole($rafe->click('#fold'))->draw('.page-paper', self::LINE, 'touch');
        $rafe->until(fn (): bool => $this->stored('Rafe') === 1, 'a stroke on the second prompt');
        self::assertStringContainsString('Prompt 1', $tamsin->text('#prompt-number'));
        $this->teacher->click('#rail-1');
        $this->teacher->find('#grid[data-ready]');
        $this->teacher->press('g');
        $rafe->waitForText('#prompt-number', 'Prompt 1');
        $rafe->click('#prompt-after')->waitForText('#prompt-number', 'Prompt 2');
        $rafe->until(fn (): bool => $this->inked($rafe, '#page') > 50, 'the work from before');
        // Closed, it can be looked at and not drawn on.
        $this->teacher->click('#rail-2');
        $this->teacher->run(
            '[...document.querySelectorAll(".rail-actions:not([hidden]) .rail-step")].find((one) => one.textContent.trim() === "Close").click()',
        );
        $rafe->until(
            fn (): bool => $rafe->run('return document.querySelector("#page-frame").classList.contains("is-locked")') ===
                true,
            'a closed prompt',
        );
        $this->teacher->click('#pace')->waitForText('#pace', 'Everyone on one');
        $rafe->waitForText('#prompt-number', 'Prompt 1');
        $this->teacher->click('#rail-1');
    }

    private function handingOut(): void
    {
        [$tamsin, $bram, $iona] = [$this->class['Tamsin'], $this->class['Bram'], $this->class['Iona']];
        $this->cut($iona, true);
        $this->teacher->press('f');
        $this->teacher->find('#lead [data-ready]');
        $this->teacher
            ->option('#lead [data-tool=shapes]')
            ->draw('#lead .page-paper', [[0.2, 0.2], [0.5, 0.25], [0.8, 0.3]]);
        $this->teacher->until(
            fn (): bool => $this->inked($this->teacher, '#lead .page') > 50,
            'a shape on the lead canvas',
        );
        $this->teacher->waitForText('#lead .lead-saved', 'Saved');
        $this->teacher->press('f');
        // Bram's pen is on the page when it comes: the stroke goes on, and is one.
        $bram->draw('.page-paper', [[0.1, 0.1], [0.2, 0.2], [0.3, 0.1]], 'pen', lift: false);
        $this->handOut('lead', 'backdrop');
        $bram->until(fn (): bool => $this->layers('Bramwell') === ['lead'], 'what was handed out');
        $bram->waitForText('#notice', 'handed something out');
        $bram->lift('pen');
        $bram->until(fn (): bool => $this->layers('Bramwell') === ['lead', 'student'], 'one stroke');
        $this->teacher->press('h');
        $this->teacher->waitForText('#handouts', 'on 7 of 8');
        $this->teacher->waitForText('#handouts', 'Iona');
        $this->cut($iona, false);
        $this->teacher->waitForText('#handouts', 'on 8 of 8');
        $this->teacher->press(self::ESCAPE);

        // A fresh start for one; the old work is given back.
        $before = $this->inked($tamsin, '#page');
        $this->teacher->run('document.querySelector(".tile-open").click()');
        $this->teacher->click('[data-do=hand-out-one]');
        $this->teacher->click('#handout [value=fresh]');
        self::assertStringContainsString('Clears 1 canvas first.', $this->teacher->text('#handout-effect'));
        $this->teacher->click('#handout-form .btn-end');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') === 0, 'an empty canvas');
        self::assertSame(2, $this->stored('Tamsin'));
        $tamsin->draw('.page-paper', [[0.7, 0.1], [0.8, 0.2], [0.9, 0.1]], 'pen');
        $tamsin->until(fn (): bool => $this->stored('Tamsin') === 3, 'new work');
        $this->teacher->click('#desk-notice button');
        $tamsin->until(fn (): bool => $this->inked($tamsin, '#page') > $before, 'the old work beside the new');
        $this->teacher->press(self::ESCAPE);
    }

    private function leading(): void
    {
        [$tamsin, $rafe] = [$this->class['Tamsin'], $this->class['Rafe']];
        self::assertFalse($tamsin->find('#lead-look')->isDisplayed());
        $this->teacher->press('f');
        $this->teacher->find('#lead [data-ready]');
        $this->teacher->click('#lead-show')->waitForText('#lead-shown', 'Students see page 1');
        foreach ([$tamsin, $rafe] as $student) {
            $student
                ->click('#lead-look')
                ->until(fn (): bool => $this->inked($student, '#lead-page') > 50, 'the teacher\'s page');
        }
        self::assertFalse($rafe->find('#bench')->isDisplayed(), 'on a phone the pages take turns');
        $rafe->click('#lead-away');

        // Another page is prepared meanwhile, and seen by nobody.
        $seen = $this->inked($tamsin, '#lead-page');
        $this->teacher
            ->click('#lead [data-add-page]')
            ->option('#lead [data-tool=pen]')
            ->draw('#lead .page-paper', self::LINE);
        usleep(700_000);
        self::assertSame($seen, $this->inked($tamsin, '#lead-page'));
        $this->teacher->click('#lead [data-page-step="-1"]');

        $this->teacher
            ->click('#lead-ink')
            ->until(
                fn (): bool => $this->teacher->run('return document.querySelector("#lead-ink").ariaPressed') === 'true',
                'lead ink',
            );
        $this->teacher->draw('#lead .page-paper', [[0.2, 0.2], [0.5, 0.3], [0.8, 0.2]], 'mouse', lift: false);
        $rafe->until(
            fn (): bool => $this->inked($rafe, '#bench .page-under') > 20,
            'the teacher\'s ink while it is drawn',
        );
        $this->teacher->lift();
        usleep(500_000);
        self::assertGreaterThan(20, $this->inked($rafe, '#bench .page-under'));
        $rafe->driver->navigate()->refresh();
        $rafe->find('#page-frame[data-ready]');
        $rafe->until(
            fn (): bool => $this->inked($rafe, '#bench .page-under') > 20,
            'the ink on a page that was opened anew',
        );
        $this->teacher->click('#lead-ink')->click('#ink-off [value=stays]');
        $rafe->until(
            fn (): bool => $this->inked($rafe, '#bench .page-under') === 0 &&
                $this->layers('Rafe') === ['student', 'lead', 'lead'],
            'the ink as a backdrop',
        );
        $this->teacher->click('#lead-show');
        $tamsin->until(fn (): bool => ! $tamsin->find('#lead-side')->isDisplayed(), 'the teacher\'s page to go');
        $this->teacher->press('f');
    }

    private function covering(): void
    {
        [$tamsin, $rafe] = [$this->class['Tamsin'], $this->class['Rafe']];
        $this->teacher->click('#desk-menu summary')->click('#settings-button')->click('#settings [name=cover]');
        $this->teacher->until(
            fn (): bool => $this->teacher->run('return document.body.classList.contains("is-covered")') === true,
            'covered work',
        );
        self::assertSame(0, $this->inked($this->teacher, '.tile'));
        $this->teacher->press(self::ESCAPE);
        $rafe->click('#send')->waitForText('#send', 'Take back');
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile.is-sent')) === 1, 'who has sent');
        $rafe->click('#send')->waitForText('#send', 'Send to teacher');
        $this->teacher->until(fn (): bool => $this->teacher->all('.tile.is-sent') === [], 'taken back');
        $tamsin->click('#send')->waitForText('#send', 'Take back');
        $this->teacher->run('document.querySelector(".tile-open").click()');
        $this->teacher->waitForText('#desk-notice', 'Covered until you reveal');
        $this->teacher->run(
            '[...document.querySelectorAll(".rail-actions:not([hidden]) button")].find((one) => one.textContent.trim() === "Reveal").click()',
        );
        $this->teacher->until(fn (): bool => $this->inked($this->teacher, '.tile') > 50, 'all work at once');
        $this->helper->until(fn (): bool => $this->inked($this->helper, '.tile') > 50, 'all work at the helper\'s');
        $tamsin->until(fn (): bool => ! $tamsin->find('#send')->isEnabled(), 'nothing to take back any more');
    }

    private function changingDevices(): void
    {
        // With a seat code.
        $wren = $this->class['Wren'];
        $wren->draw('.page-paper', self::LINE, 'pen');
        $wren->until(fn (): bool => $this->stored('Wren') === 1, 'Wren\'s stroke');
        $wren->click('#more')->click('#other-device');
        $seatCode = $wren->until(fn (): string => trim($wren->text('#device-code')), 'a seat code');
        $tablet = $this->person('Wren on a tablet', 800, 1100)->visit(self::$crag->address().'/join/'.$this->code);
        $tablet->click('details summary')->type('#seat-code', (string) $seatCode)->click('details .btn');
        $tablet->find('#page-frame[data-ready]');
        $tablet->until(fn (): bool => $this->inked($tablet, '#page') > 50, 'Wren\'s work');
        $wren->waitForText('h1', 'Bridges and Beams');
        self::assertStringContainsString('/join/', $wren->driver->getCurrentURL());

        // With the teacher's yes.
        $other = $this->person('Tamsin again')->visit(self::$crag->address().'/join/'.$this->code);
        $other->type('#name', 'Tamsin')->click('form > .btn-go')->waitForText('h1', 'knocking');
        $this->teacher->waitForText('#waiting-all', 'says: I’m Tamsin');
        $this->teacher
            ->press('y')
            ->click('#waiting-all .is-knocking [data-do=who-is-it]')
            ->waitForText('#who-is-it', 'open now on a laptop');
        self::assertSame(
            'no',
            $this->teacher->run('return document.activeElement.value'),
            'the easy answer gives nothing away',
        );
        $this->teacher->click('#who-is-it [value=yes]');
        $other->find('#page-frame[data-ready]');
        $other->waitForText('.strip-who', 'Tamsin');
        $other->until(fn (): bool => $this->inked($other, '#page') > 50, 'Tamsin\'s work');
        $this->class['Tamsin'] = $other;
        self::assertSame('8', $this->text("select count(*) from seats where state = 'seated'"));
    }

    private function ending(): void
    {
        $this->teacher->click('#desk-menu summary')->click('#end')->waitForText('#ask-first-question', 'kept until');
        $this->teacher->click('#ask-first [data-cancel]');
        self::assertSame('0', $this->text('select count(*) from live_sessions where ended_at is not null'));
        $this->teacher->click('#desk-menu summary')->click('#end');
        self::assertSame('End the session', $this->teacher->find('#ask-first-yes')->getText());
        $this->teacher->click('#ask-first-yes')->waitForText('main', 'deleted automatically');
        $this->helper->waitForText('h1', 'has ended');
        foreach (['Tamsin', 'Rafe', 'نور'] as $name) {
            $this->class[$name]->waitForText('h1', 'The session has ended');
        }
    }

    /** Cuts a page off the network, its socket too, or gives it back. */
    private function cut(Page $page, bool $isCut): void
    {
        $page->offline($isCut);
        $page->run(
            'window.isCut = arguments[0]; if (arguments[0]) window.sockets.forEach((socket) => socket.close()); else window.dispatchEvent(new Event("online"))',
            $isCut,
        );
    }

    private function handOut(string $what, string $mode): void
    {
        $this->teacher->press('h');
        $this->teacher->seen('#handout');
        $this->teacher->run(
            'document.querySelector(`#handout [name=what][value="${arguments[0]}"]`).click(); document.querySelector(`#handout [name=mode][value="${arguments[1]}"]`).click()',
            $what,
            $mode,
        );
        $this->teacher->click('#handout-form .btn-go');
    }

    /**
     * The layers of what was put on a student's canvas of the first prompt, in order.
     *
     * @return list<string>
     *
     * @phpstan-impure
     */
    private function layers(string $name): array
    {
        $layers = $this->text(
            <<<SQL
            select json_group_array(layer) from (
                select o.layer from operations o
                join canvases c on c.id = o.canvas_id join seats s on s.id = c.seat_id join prompts p on p.id = c.prompt_id
                where s.name = '{$name}' and o.kind = 'add' order by o.session_n
            )
            SQL,
        );

        return array_values(array_map(strval(...), (array) json_decode($layers)));
    }

    /** @phpstan-impure */
    private function text(string $query): string
    {
        $found = $this->sql($query);

        return is_scalar($found) ? (string) $found : '';
    }
}
