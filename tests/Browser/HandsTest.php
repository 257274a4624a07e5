<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Engine;
use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;

/** Every tool once, by the hand and on the screen that students have; no network, and a reload. In three engines. */
final class HandsTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private Page $page;

    private string $name = '';

    private string $pointer = 'mouse';

    private int $count = 0;

    private static int $students = 0;

    private static string $code = '';

    #[TestWith(['mouse', 1280, 800])]
    #[TestWith(['touch', 390, 844])]
    #[TestWith(['touch', 844, 390])]
    #[TestWith(['touch', 820, 1180])]
    #[TestWith(['pen', 820, 1180])]
    #[TestWith(['pen', 1180, 820])]
    public function test_every_tool_once(string $pointer, int $width, int $height): void
    {
        $this->begin($pointer, $width, $height);
        $this->draw([[0.1, 0.2], [0.2, 0.3], [0.3, 0.2]]);
        $this->palmsRest();
        self::assertSame('stroke', $this->object());
        $this->page->option('[data-tool=highlighter]');
        $this->draw([[0.1, 0.4], [0.3, 0.4]]);
        self::assertSame('highlight', $this->object());
        $this->page->option('[data-tool=shapes]')->option('[data-shape=rectangle]');
        // A pop-up that lies over the paper goes with Escape.
        $this->page->press(self::ESCAPE);
        $this->draw([[0.5, 0.2], [0.6, 0.4]]);
        self::assertSame('rectangle', $this->object());
        $this->writing();
        $this->page->option('[data-tool=stamps]')->option('[data-stamps=forces]');
        $this->page->option('[data-stamp=spring]')->press(self::ESCAPE);
        $this->draw([[0.4, 0.7]]);
        self::assertSame('stamp', $this->object());
        $this->page->option('[data-tool=maths]');
        $this->draw([[0.15, 0.75]]);
        $this->page->type('.maths-source', '\frac{1}{2}')->click('.maths-end .btn-go');
        self::assertSame('maths', $this->object());
        $this->page->option('[data-tool=move]');
        $this->draw([[0.5, 0.3], [0.55, 0.5]]);
        self::assertSame('arrange', $this->kind());
        $this->page->option('[data-tool=eraser]');
        $this->draw([[0.2, 0.15], [0.2, 0.45]]);
        self::assertContains($this->kind(), ['remove', 'cut']);
        $this->page->click('#undo');
        self::assertSame('withdraw', $this->kind());
        $this->page->click('#redo');
        self::assertSame('reinstate', $this->kind());
        self::assertSame([], $this->page->complaints());
    }

    public function test_no_network_and_a_reload_in_the_middle_of_a_stroke_lose_nothing(): void
    {
        $this->begin('touch', 820, 1180);
        $this->draw([[0.1, 0.2], [0.3, 0.2]]);
        self::assertSame('stroke', $this->object());
        self::$crag->stop();
        $this->draw([[0.1, 0.3], [0.3, 0.3]]);
        $this->draw([[0.1, 0.4], [0.3, 0.4]]);
        $this->page->until(
            fn (): bool => ! str_contains($this->page->text('#saved'), 'Saved'),
            'not to be told that it is saved',
        );
        self::$crag->start();
        $this->page->until(fn (): bool => $this->stored($this->name) === 3, 'what was drawn without a network');
        $this->page->waitForText('#saved', 'Saved');
        $this->page->draw('.page-paper', [[0.1, 0.5], [0.3, 0.5]], 'mouse', lift: false);
        $this->page->driver->navigate()->refresh();
        $this->page->find('#page-frame[data-ready]');
        $this->page->until(fn (): bool => $this->inked($this->page, '#page') > 100, 'the work to be there');
        $drawn = $this->stored($this->name);
        $this->page->lift()->draw('#page-frame', [[0.5, 0.2], [0.7, 0.3]], 'mouse');
        $this->page->until(fn (): bool => $this->stored($this->name) === $drawn + 1, 'the next stroke');
    }

    /** Words and a note: what is typed is kept when something else is done. */
    private function writing(): void
    {
        $this->page->option('[data-tool=text]')->press(self::ESCAPE);
        $this->draw([[0.7, 0.3]]);
        $this->page->seen('.page-typing')->sendKeys('F = 80 N');
        $this->page->press(self::ESCAPE);
        self::assertSame('text', $this->object());
        $this->page->option('[data-tool=note]')->press(self::ESCAPE);
        $this->draw([[0.65, 0.55]]);
        self::assertSame('note', $this->object());
        $this->page->seen('.page-typing')->sendKeys('why?');
        $this->page->press(self::ESCAPE);
        self::assertSame('change', $this->kind());
    }

    /** Where a stylus draws, hands rest on the glass: they draw nothing. */
    private function palmsRest(): void
    {
        if (Engine::pointer($this->pointer) === 'pen') {
            $this->count++;
            $this->page->fingers('.page-paper', [[[0.6, 0.6], [0.61, 0.62]], [[0.7, 0.65], [0.7, 0.66]]]);
            $this->page->draw('.page-paper', [[0.8, 0.6], [0.8, 0.62]], 'touch');
            $this->page->press('0');
            $this->count--;
        }
    }

    /** @param  list<array{float, float}>  $way */
    private function draw(array $way): void
    {
        $this->page->draw('.page-paper', $way, $this->pointer);
    }

    /** The type of what was put on the page last, once the server has it. */
    private function object(): string
    {
        $last = $this->last();
        $object = $last['body']['object'] ?? null;

        return $last['kind'] === 'add' && is_array($object) && is_string($object['type']) ? $object['type'] : $last['kind'];
    }

    private function kind(): string
    {
        return $this->last()['kind'];
    }

    /** @return array{id: string, kind: string, body: array<string, mixed>} the one operation that came */
    private function last(): array
    {
        $this->count++;
        $log = $this->page->until(
            fn (): array => count($log = $this->log($this->name)) >= $this->count ? $log : [],
            "operation {$this->count}",
        );
        self::assertCount($this->count, $log, implode(', ', array_column($log, 'kind')));

        return $log[$this->count - 1];
    }

    private function begin(string $pointer, int $width, int $height): void
    {
        if (self::$code === '') {
            [$teacher, self::$code] = $this->startLesson();
            $this->sql('update live_sessions set tray = ? where id = ?', [
                json_encode(['now' => ['kind' => 'maths', 'tools' => ['pages']], 'before' => null, 'changed' => 0]),
                basename($teacher->driver->getCurrentURL()),
            ]);
        }
        $this->pointer = $pointer;
        $this->name = 'Merryn '.++self::$students;
        $this->page = $this->join($this->name, self::$code, $width, $height);
    }
}
