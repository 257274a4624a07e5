<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Deploy\Setup;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;

/** Pages that everybody can use, and pictures that agree. */
final class ReachTest extends BrowserTestCase
{
    public function test_no_page_has_a_serious_finding_of_axe(): void
    {
        $home = $this->person('home')->visit(self::$crag->address());
        $this->assertAccessible($home, 'home');
        $this->assertAccessible($home->visit(self::$crag->address().'/join?code=KMP4R'), 'join with a problem');

        [$teacher, $code] = $this->startLesson();
        $this->assertAccessible($teacher, 'an empty desk');
        $student = $this->join('Priya', $code, 390, 844);
        $this->assertAccessible($student, 'student');
        $teacher->find('.tile');
        foreach (['#hand-out' => 'hand out', '#door-button' => 'door', '#keys-button' => 'keys', '.tile-open' => 'close-up'] as $button => $what) {
            $teacher->click($button);
            $this->assertAccessible($teacher, $what);
            $teacher->press("\u{E00C}");
        }
        $screen = $this->person('screen')->visit((string) $teacher->find('.lineup a')->getAttribute('href'));
        $this->assertAccessible($screen, 'class screen');
        $teacher->run('window.confirm = () => true');
        $teacher->click('#end');
        $teacher->find('#record');
        $this->assertAccessible($teacher, 'ended');
    }

    public function test_thirty_tiles_fit_without_scrolling(): void
    {
        [$teacher] = $this->startLesson();
        $session = basename($teacher->driver->getCurrentURL());
        for ($n = 1; $n <= 30; $n++) {
            $this->sql('insert into seats (id, live_session_id, n, name, token_hash, ink_key) values (?, ?, ?, ?, ?, ?)', [sprintf('seat%022d', $n), $session, $n, "Student Number {$n}", "h{$n}", "k{$n}"]);
        }
        $teacher->driver->navigate()->refresh();
        $teacher->until(fn (): bool => count($teacher->all('.tile')) === 30, 'thirty tiles');
        self::assertTrue($teacher->run('const s = document.querySelector("#grid-space"); return s.scrollHeight <= s.clientHeight'));
        self::assertGreaterThanOrEqual(132, $teacher->run('return document.querySelector(".tile").offsetWidth'));
        self::assertTrue($teacher->run('return document.documentElement.scrollWidth <= innerWidth'));
    }

    #[TestWith([1280, 800])]
    #[TestWith([390, 844])]
    #[TestWith([360, 640])]
    public function test_the_students_page_fits_the_device(int $width, int $height): void
    {
        [, $code] = $this->startLesson();
        $student = $this->join('Finn', $code, $width, $height);
        self::assertTrue($student->run('return document.documentElement.scrollWidth <= innerWidth && document.documentElement.scrollHeight <= innerHeight'));
        foreach ($student->all('#tray button') as $button) {
            $place = $button->getLocation();
            $size = $button->getSize();
            self::assertLessThanOrEqual($height, $place->getY() + $size->getHeight());
            self::assertLessThanOrEqual($width, $place->getX() + $size->getWidth());
            self::assertGreaterThanOrEqual(36, $size->getWidth());
        }
    }

    /** Drawn by the page and by the server, a canvas differs only where edges are smoothed otherwise. */
    public function test_the_page_and_the_server_draw_the_same_picture(): void
    {
        [, $code] = $this->startLesson();
        $student = $this->join('Aino', $code, 1616, 1200);
        foreach ([['pen', '#25323b', '90'], ['mouse', '#a8452e', '40'], ['touch', '#2c6e8f', '20']] as $i => [$pointer, $colour, $width]) {
            $student->click("[data-colour=\"{$colour}\"]")->click("[data-width=\"{$width}\"]");
            $y = .15 + .12 * $i;
            $student->draw('.page-paper', [[.1, $y, .2], [.2, $y + .08, .5], [.3, $y, .9], [.4, $y + .1, .7], [.55, $y, .3]], $pointer);
            $student->draw('.page-paper', [[.7, $y, .8]], $pointer);
        }
        $student->click('[data-tool="text"]')->draw('.page-paper', [[.1, .7]]);
        $student->seen('.page-typing')->sendKeys("M = F × d\n240 N · 1 m ≤ 3 F");
        $student->click('[data-tool="pen"]')->waitForText('#saved', 'Saved');
        $canvas = $student->find('#page-frame')->getAttribute('data-ready');
        $student->until(fn (): bool => (int) $this->sql('select operation_count from canvases where id = ?', [$canvas]) >= 7, 'everything stored');
        $differing = $student->run(<<<'JS'
            const at = (source) => new Promise((done) => { const i = new Image(); i.onload = () => done(i); i.src = source; });
            const [width, height] = [1600, 1000];
            const surface = () => { const c = new OffscreenCanvas(width, height).getContext('2d'); c.fillStyle = '#fff'; c.fillRect(0, 0, width, height); return c; };
            const page = surface();
            page.drawImage(document.querySelector('.page-dry'), 0, 0, width, height);
            const server = surface();
            server.drawImage(await at(arguments[0]), 0, 0);
            const [a, b] = [page, server].map((c) => c.getImageData(0, 0, width, height).data);
            let differing = 0, inked = 0;
            for (let i = 0; i < a.length; i += 4) {
                const difference = Math.max(Math.abs(a[i] - b[i]), Math.abs(a[i + 1] - b[i + 1]), Math.abs(a[i + 2] - b[i + 2]));
                differing += difference > 96 ? 1 : 0;
                inked += Math.min(b[i], b[i + 1], b[i + 2]) < 200 ? 1 : 0;
            }
            return [document.querySelector('.page-dry').width, inked, differing / inked];
            JS, '/seat/'.basename($student->driver->getCurrentURL())."/work/{$canvas}.png");
        self::assertIsArray($differing);
        self::assertSame(1600, $differing[0]);
        self::assertGreaterThan(5000, $differing[1]);
        self::assertLessThan(0.03, $differing[2], 'Share of inked pixels that differ clearly');
    }

    private function assertAccessible(Page $page, string $what): void
    {
        usleep(300_000);
        $page->run((string) file_get_contents(Setup::root().'/node_modules/axe-core/axe.min.js'));
        $found = $page->run(<<<'JS'
            const { violations } = await axe.run(document, { resultTypes: ['violations'] });
            return violations.filter((v) => ['serious', 'critical'].includes(v.impact)).map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
            JS);
        self::assertSame([], $found, $what);
    }
}
