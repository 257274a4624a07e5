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
        $desk->until(fn (): bool => count($desk->all('.tile')) === DemoClass::MOST_STUDENTS, 'the whole class', 60);
        $screen = $this->chrome->open()->visit($addresses['screen']);

        $this->students();
        sleep(12);
        $this->checks($desk);
        $this->shot($desk, 'desk');
        $this->closeUp($desk);
        $this->screen($desk, $screen);
        $this->handOut($desk);
        $this->dark($addresses['desk']);
        $this->end($desk);
    }

    private function students(): void
    {
        $home = $this->chrome->open()->visit($this->class->instance->address());
        $this->shot($home, 'home');
        $home->visit($this->class->addresses['join']);
        $this->shot($home, 'join');

        $laptop = $this->chrome->open()->visit($this->class->addresses['student']);
        $this->draw($laptop);
        $this->shot($laptop, 'student');
        $phone = $this->chrome->open(390, 844)->visit($this->class->addresses['student']);
        $this->draw($phone);
        $this->shot($phone, 'student-phone');
    }

    private function draw(Page $page): void
    {
        $page->find('#page-frame[data-ready]');
        $this->line($page, [.16, .3], [.84, .3], [.84, .33], [.16, .33], [.16, .3]);
        $this->line($page, [.33, .33], [.3, .4], [.36, .4], [.33, .33]);
        $page->click('[data-colour="#a8452e"]');
        $this->line($page, [.17, .14], [.17, .29]);
        $this->line($page, [.155, .26], [.17, .29], [.185, .26]);
        $page->click('[data-colour="#25323b"]')->click('[data-tool="text"]');
        $page->draw('.page-paper', [[.2, .55]]);
        $page->seen('.page-typing')->sendKeys("240 × 1 = F × 3\nF = 80 N");
        $page->click('[data-tool="pen"]');
        $page->waitForText('#saved', 'Saved');
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
                $points[] = [$fromX + ($x - $fromX) * $step / 12, $fromY + ($y - $fromY) * $step / 12];
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
        $desk->seen('#closeup');
        usleep(600_000);
        $this->shot($desk, 'close-up');
    }

    private function screen(Page $desk, Page $screen): void
    {
        $this->shot($screen, 'screen-prompt');
        $desk->click('[data-do="show"]');
        $screen->find('.shown-canvas');
        usleep(500_000);
        $this->shot($screen, 'screen-showcase');
        $desk->press("\u{E00C}");
        $desk->click('#screen-join');
        $screen->find('.shown-qr svg');
        $this->shot($screen, 'screen-join');
    }

    private function handOut(Page $desk): void
    {
        $desk->click('#hand-out');
        $desk->seen('#handout');
        usleep(500_000);
        $this->shot($desk, 'hand-out');
        $desk->press("\u{E00C}");
    }

    private function dark(string $address): void
    {
        $dark = $this->chrome->open(dark: true)->visit($address);
        $dark->find('#grid[data-ready]');
        sleep(2);
        $this->shot($dark, 'desk-dark');
    }

    private function end(Page $desk): void
    {
        $desk->run('window.confirm = () => true');
        $desk->click('#end');
        $desk->click('#record button');
        $desk->until(fn (): bool => $desk->all('#record a[href$="record.pdf"]') !== [], 'the record', 60);
        $this->shot($desk, 'ended');
    }

    private function shot(Page $page, string $name): void
    {
        $page->screenshot("{$this->folder}/{$name}.png");
        Console::step("{$name}.png");
    }
}
