<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Browser\Chrome;
use Deploy\Browser\Page;

/** Walks through a lesson of the demo class and takes a picture of each main view. */
final readonly class Tour
{
    public function __construct(private Chrome $chrome, private DemoClass $class, private string $folder)
    {
    }

    public function take(): void
    {
        $addresses = $this->class->addresses;
        $desk = $this->chrome->open()->visit($addresses['desk']);
        $desk->until(fn (): bool => count($desk->all('.tile')) === DemoClass::STUDENTS, 'the whole class', 60);
        $screen = $this->chrome->open()->visit($addresses['screen']);

        $this->students();
        $this->plans();
        $this->school();
        sleep(12);
        $this->checks($desk);
        $this->shot($desk, 'desk');
        $this->lead($desk);
        $this->door($desk);
        $this->closeUp($desk);
        $this->asking($desk, $screen);
        $this->picture($desk);
        $this->screen($desk, $screen);
        $this->offers($desk);
        $this->handOut($desk);
        $this->record($desk, $addresses['desk']);
    }

    private function students(): void
    {
        $this->shot($this->chrome->open()->visit($this->class->addresses['join']), 'join');

        $laptop = $this->chrome->open()->visit($this->class->addresses['student']);
        $this->draw($laptop);
        $this->lay($laptop, 'Instrument', 'ruler');
        $this->shot($laptop, 'student');
        $phone = $this->chrome->open(390, 844)->visit($this->class->addresses['student']);
        $phone->find('#page-frame[data-ready]');
        // Seen whole, every place on it can be reached; then as it opens, as large as one writes.
        $phone->press('0');
        $this->draw($phone);
        $phone->click('[data-zoom=fit]');
        $this->shot($phone, 'student-phone');
        $phone->click('[data-writing=open]')->click('[data-writing=line]')->click('[data-writing=line]');
        $this->shot($phone, 'student-writing');
    }

    private function lay(Page $page, string $subject, string $kind): void
    {
        $page->option('[data-tool=pieces]')->click("[data-subject={$subject}]")->click("button[data-piece={$kind}]");
        $page->click('.piece-add')->find('.piece-parts');
        $page->waitForText('#saved', 'Saved');
    }

    private function school(): void
    {
        $page = $this->chrome->open()->visit($this->class->addresses['schools']);
        $page->click('.schools-table tbody a')->seen('#school-teachers');
        $this->shot($page, 'school');
    }

    /** The library, a plan that is open, and a question at its place. */
    private function plans(): void
    {
        $page = $this->chrome->open()->visit($this->class->addresses['plans']);
        $page->until(
            fn (): bool => $page->run(
                'return [...document.querySelectorAll(".plan-card img")].every((one) => one.complete)',
            ) === true,
            'the pictures',
        );
        $this->shot($page, 'plans');
        $page->run(
            '[...document.querySelectorAll(".plan-card h2 a")].find((one) => one.textContent === "Bridges and Beams").click()',
        );
        $this->plan($page, 1, 'plan');
    }

    private function plan(Page $page, int $n, string $name): void
    {
        $page->click("#plan-prompts li:nth-child({$n}) .plan-one");
        $page->until(
            fn (): bool => $page->run(
                'return document.querySelector("#plan-prompts li:nth-child('.
                    $n.
                    ')").classList.contains("is-open") && document.querySelector("#plan-bench [data-ready]") !== null',
            ) === true,
            "prompt {$n}",
        );
        sleep(2);
        $this->shot($page, $name);
    }

    private function draw(Page $page): void
    {
        $page->find('#page-frame[data-ready]');
        $page->click('#fold');
        $page->option('[data-tool=shapes]')->option('[data-shape=rectangle]')->option('[data-strength="18"]');
        $page->draw('.page-paper', [[0.14, 0.3], [0.8, 0.33], [0.82, 0.335]]);
        $page
            ->option('[data-tool=stamps]')
            ->option('[data-stamps=forces]')->option('[data-stamp=support]')
            ->draw('.page-paper', [[0.31, 0.375]]);
        $page->option('[data-tool=shapes]')->option('[data-shape=arrow]')->option('.tray-options [data-colour="#8f2d1a"]');
        $page->draw('.page-paper', [[0.15, 0.12], [0.15, 0.2], [0.15, 0.29]]);
        $page->draw('.page-paper', [[0.81, 0.12], [0.81, 0.2], [0.81, 0.29]]);
        $page->option('[data-tool=pen]')->option('.tray-options [data-colour="#2272b5"]');
        $this->line($page, [0.15, 0.45], [0.31, 0.45]);
        $this->line($page, [0.32, 0.45], [0.81, 0.45]);
        $page->option('.tray-options [data-colour="#25323b"]');
        $this->words($page, 0.17, 0.17, '240 N');
        $this->words($page, 0.76, 0.17, 'F');
        $this->words($page, 0.2, 0.48, '1 m');
        $this->words($page, 0.54, 0.48, '3 m');
        $page->option('[data-tool=maths]')->draw('.page-paper', [[0.14, 0.6]]);
        $page
            ->type('.maths-source', '240\,\text{N} \times 1\,\text{m} = F \times 3\,\text{m}')
            ->click('.maths-end .btn-go');
        $page->option('[data-tool=highlighter]');
        $this->line($page, [0.13, 0.78], [0.32, 0.78]);
        $this->words($page, 0.14, 0.78, 'F = 80 N');
        $page->option('[data-tool=note]')->draw('.page-paper', [[0.66, 0.62]]);
        $page->seen('.page-typing')->sendKeys('Clockwise and anticlockwise must be the same');
        $page->option('[data-tool=pen]');
        // Pressed once more, its settings are shut again.
        $page->click('[data-tool=pen]');
        $page->waitForText('#saved', 'Saved');
        usleep(600_000);
    }

    private function words(Page $page, float $x, float $y, string $words): void
    {
        $page->option('[data-tool=text]')->draw('.page-paper', [[$x, $y]]);
        $page->seen('.page-typing')->sendKeys($words);
        $page->press("\u{E00C}");
    }

    /** The teacher's own canvas, with pieces being made of what stands on it. */
    private function lead(Page $desk): void
    {
        $desk->press('f');
        $desk->find('#lead [data-ready]');
        $desk
            ->option('[data-tool=shapes]')
            ->option('[data-shape=rectangle]')
            ->draw('#lead .page-paper', [[0.2, 0.4], [0.5, 0.42], [0.8, 0.43]]);
        foreach (['support' => 0.35, 'weight' => 0.25, 'force' => 0.75] as $stamp => $x) {
            $desk
                ->option('[data-tool=stamps]')
                ->option('[data-stamps=forces]')
                ->option("[data-stamp={$stamp}]")
                ->draw('#lead .page-paper', [[$x, $stamp === 'support' ? 0.48 : 0.34]]);
        }
        $desk->option('[data-tool=move]')->draw('#lead .page-paper', [[0.25, 0.34]]);
        usleep(400_000);
        $this->shot($desk, 'lead-canvas');
        $desk->press('f');
    }

    /** Students who knock, one with the hand up, and what a student sees beside the own canvas and under a cover. */
    private function door(Page $desk): void
    {
        $desk->press('d');
        $desk->click('.door-states .chip:nth-child(2)')->waitForText('#door-button', 'Knock');
        foreach (['Casper Vane', 'Iona Crake'] as $name) {
            $this->chrome
                ->open()
                ->visit($this->class->addresses['join'])
                ->type('#name', $name)
                ->click('form > .btn-go')
                ->waitForText('h1', 'knocking');
        }
        $student = $this->chrome->open()->visit($this->class->addresses['student']);
        $student->find('#page-frame[data-ready]');
        $student->click('#hand')->type('#hand-words', 'Which end is the pivot?')->click('#hand-window .btn-go');
        $desk->waitForText('#waiting-all', 'Which end');
        $desk->waitForText('#doorway', 'Iona');
        usleep(500_000);
        $this->shot($desk, 'door');
        $desk->press("\u{E00C}");
        $student->quit();
    }

    /**
     * As a hand moves: many points along each edge.
     *
     * @param  array{float, float}  ...$corners
     */
    private function line(Page $page, array ...$corners): void
    {
        $points = [];
        foreach ($corners as $i => [$x, $y]) {
            [$fromX, $fromY] = $corners[max(0, $i - 1)];
            for ($step = 1; $step <= 12; $step++) {
                $points[] = [$fromX + (($x - $fromX) * $step) / 12, $fromY + (($y - $fromY) * $step) / 12];
            }
        }
        $page->draw('.page-paper', $points, 'pen', 4);
    }

    private function checks(Page $desk): void
    {
        foreach (['3', '3', '1', '3', '1', '2', '0', '2', '3'] as $i => $level) {
            $desk->run('document.querySelectorAll(".tile-open")[arguments[0]].focus()', $i);
            $desk->press($level);
        }
        $desk->run('document.activeElement.blur()');
        usleep(500_000);
    }

    private function closeUp(Page $desk): void
    {
        $desk->run('document.querySelectorAll(".tile-open")[0].click()');
        $desk->find('#closeup-page-frame[data-ready]');
        $desk->press('c');
        usleep(300_000);
        $circle = array_map(
            static fn (int $i): array => [0.33 + 0.13 * cos($i / 6), 0.6 + 0.1 * sin($i / 6)],
            range(0, 40),
        );
        $desk->draw('#closeup .page-paper', $circle, 'pen', 4);
        $desk->option('#closeup [data-tool=text]')->draw('#closeup .page-paper', [[0.5, 0.58]]);
        $desk->seen('#closeup .page-typing')->sendKeys('Why is F smaller than 240 N?');
        $desk->press("\u{E00C}")->option('#closeup [data-tool=pen]');
        usleep(600_000);
        $this->shot($desk, 'close-up');
        $desk->press("\u{E00C}")->press("\u{E00C}");
        $desk->until(fn (): bool => ! $desk->find('#closeup')->isDisplayed(), 'the grid');
    }

    /** A quick ask that some have answered. */
    private function asking(Page $desk, Page $screen): void
    {
        $desk->press('a')->type('#ask-words', 'The load doubles. Which way does the plank turn?');
        $desk->click('#ask-own summary');
        $desk->run('document.querySelector("#ask-options").value = "*Anticlockwise\nClockwise\nIt stays level"');
        $desk->click('#ask-form .btn-go')->seen('.ask-now');
        $desk->waitForText('#ask-body', DemoClass::STUDENTS.' of');
        usleep(600_000);
        $this->shot($desk, 'quick-ask');
        $desk
            ->click('#ask-body [data-body*="tally"][data-post$="screen"]')
            ->click('#ask-body [data-on*="tally"][data-post$="show"]');
        $screen->seen('.tally-bars');
        usleep(600_000);
        $this->shot($screen, 'screen-tally');
        $desk->click('#ask-body [data-post$=ask-away]')->press("\u{E00C}");
    }

    private function picture(Page $desk): void
    {
        $desk->press('m')->click('#groups-form .btn-slate')->waitForText('#groups-made', 'Group 2');
        usleep(600_000);
        $this->shot($desk, 'class-picture');
        $desk->press("\u{E00C}");
    }

    private function screen(Page $desk, Page $screen): void
    {
        $desk->press('s')->click('#screen-join')->press("\u{E00C}");
        $screen->find('.shown-qr svg');
        usleep(400_000);
        foreach ([0, 1, 2, 4] as $i) {
            $desk->run('document.querySelectorAll(".tile-name")[arguments[0]].click()', $i);
        }
        $desk->press('j');
        $desk->until(fn (): bool => count($desk->all('.lineup-entry')) === 4, 'four in the line-up');
        $desk->press("\u{E00C}");
        for ($i = 0; $i < 4; $i++) {
            $desk->run(
                'document.querySelectorAll(".lineup-entry [data-do=show-entry]")[arguments[0]].dispatchEvent(new MouseEvent("click", { bubbles: true, ctrlKey: true }))',
                $i,
            );
            $screen->until(
                fn (): bool => count($screen->all('.shown-canvas')) === $i + 1,
                'one more on the class screen',
            );
            usleep(700_000);
        }
        $this->shot($screen, 'screen-showcase');
        $desk->press('u')->find('#talking [data-ready]');
        $desk->draw(
            '#talking .page-paper',
            array_map(static fn (int $i): array => [0.3 + 0.12 * cos($i / 6), 0.3 + 0.1 * sin($i / 6)], range(0, 40)),
            'pen',
            4,
        );
        $desk->waitForText('#talking-saved', 'Saved');
        usleep(800_000);
        $this->shot($desk, 'talking');
        $desk->press('u');
    }

    private function handOut(Page $desk): void
    {
        $desk->click('#hand-out');
        $desk->seen('#handout');
        $desk->run('document.querySelector("#handout [value=lead]").click()');
        usleep(500_000);
        $this->shot($desk, 'hand-out');
        $desk->press("\u{E00C}");
    }

    /** What students offer, on its page in two columns. */
    private function offers(Page $desk): void
    {
        foreach (
            [
                'Both sides turn the same' => [[0.2, 0.5], [0.5, 0.3], [0.8, 0.5]],
                'I drew the lever first' => [[0.2, 0.3], [0.4, 0.6], [0.8, 0.6]],
            ] as $words => $line
        ) {
            $student = $this->chrome->open()->visit($this->class->addresses['student']);
            $student->find('#page-frame[data-ready]');
            $this->line($student, ...$line);
            $student
                ->click('#more')
                ->click('#offer')
                ->type('#offer-words', $words)
                ->click('#offer-window .btn-go')
                ->waitForText('#notice', 'Offered');
            $student->quit();
        }
        $desk->press('e')->waitForText('#offers', 'I drew the lever first');
        $desk->click('.offer .btn-go');
        $desk->until(fn (): bool => count($desk->all('.offer .btn-go')) === 1, 'one accepted');
        usleep(600_000);
        $this->shot($desk, 'offers');
        $desk->press("\u{E00C}");
    }

    /** What can be taken while the session runs. */
    private function record(Page $desk, string $address): void
    {
        $page = $desk->run('return location.pathname');
        $desk->visit($this->class->instance->address().(is_string($page) ? $page : '').'/take');
        $this->shot($desk, 'record');
        $desk->visit($address)->find('#grid[data-ready]');
    }

    private function shot(Page $page, string $name): void
    {
        $page->screenshot("{$this->folder}/{$name}.png");
        Console::step("{$name}.png");
    }
}
