<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Closure;
use Deploy\Browser\Chrome;
use Deploy\Browser\Page;
use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Port;

/**
 * How many presses (keys or taps) each thing takes that a teacher does while talking, and how long it is until the
 * class has it: from the first press, as fast as a machine presses, to where it is seen.
 */
final class BenchDesk
{
    private const ESCAPE = "\u{E00C}";

    private const ENTER = "\u{E006}";

    private Page $desk;

    private Page $student;

    private Page $screen;

    private int $presses = 0;

    /** @var array<string, array{presses: int, ms: int}> */
    private array $measured = [];

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $chrome = Chrome::start();
        try {
            $class->play(DemoClass::STUDENTS);
            $this->desk = $chrome->open()->visit($class->addresses['desk']);
            $this->desk->until(fn (): bool => count($this->desk->all('.tile')) >= DemoClass::STUDENTS, 'the class', 120);
            $this->student = $chrome->open(390, 844)->visit($class->addresses['student']);
            $this->student->find('#page-frame[data-ready]');
            $this->screen = $chrome->open()->visit($class->addresses['screen']);
            $this->screen->find('#shown');
            $this->attention();
            $this->showing();
            $this->asking();
            $this->answering();
            $this->undoing();
            $this->checking();

            return ['students' => DemoClass::STUDENTS, 'desk' => $this->measured];
        } finally {
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
    }

    private function attention(): void
    {
        $covered = fn (): bool => $this->student->find('#cover')->isDisplayed();
        $this->take('attention', fn () => $this->key('p'), $covered);
        $this->take('attention_undone', fn () => $this->key('p'), static fn (): bool => ! $covered());
        // Everybody to the prompt that the teacher looks at, and back.
        $this->take(
            'everyone_back',
            fn () => $this->key('g'),
            fn (): bool => str_contains($this->desk->text('#desk-notice'), 'Everyone is at'),
        );
        $this->take(
            'everyone_back_undone',
            fn () => $this->tap('#desk-notice button'),
            fn (): bool => str_contains($this->desk->text('#desk-notice'), 'Everyone is back'),
        );
    }

    private function showing(): void
    {
        $canvases = fn (int $n): Closure => fn (): bool => $this->screen->run(
            'return [...document.querySelectorAll(".shown-canvas")].filter((one) => one.naturalWidth > 0).length',
        ) === $n;
        $this->take(
            'one_student_large',
            fn () => $this->tap('.tile-open'),
            fn (): bool => $this->desk->all('#closeup-page-frame[data-ready]') !== [],
        );
        $this->take('show_the_one_looked_at', fn () => $this->key('s')->key(self::ENTER), $canvases(1));
        $this->take('take_it_down', fn () => $this->tap('#take-down'), $canvases(0));
        $this->desk->press(self::ESCAPE)->press(self::ESCAPE);
        $this->take('show_one_of_the_grid', function (): void {
            $this->tap('.tile:nth-child(3) .tile-name')->tap('#chosen [data-do=show-these]');
        }, $canvases(1));
        $this->desk->press(self::ESCAPE);
        $this->take('show_two_contrasting', function (): void {
            $this->tap('.tile:nth-child(4) .tile-name')->tap('.tile:nth-child(5) .tile-name')
                ->tap('#chosen [data-do=show-these]');
        }, $canvases(2));
        $this->desk->press(self::ESCAPE);
    }

    private function asking(): void
    {
        $this->take('ask', function (): void {
            $this->key('a')->key('c');
        }, fn (): bool => $this->student->find('#quick-ask')->isDisplayed());
        $this->take(
            'the_bars_for_everyone',
            fn () => $this->key('/'),
            fn (): bool => $this->screen->all('.shown .tally-bars') !== [],
        );
        $this->desk->press(self::ESCAPE);
    }

    private function answering(): void
    {
        $this->student->click('#hand')->click('#hand-window .btn-go');
        $this->desk->until(fn (): bool => (int) $this->desk->text('#waiting-button .count') > 0, 'a hand');
        $this->take(
            'tell_a_hand_that_one_is_coming',
            fn () => $this->key('y')->tap('[data-kind=hand] [data-body*=coming]'),
            fn (): bool => $this->student->all('#hand.is-coming') !== [],
        );
        $this->take(
            'a_hand_is_done',
            fn () => $this->tap('[data-kind=hand] .waiting-do :last-child'),
            fn (): bool => $this->student->all('#hand.is-coming') === [],
        );
        $this->desk->press(self::ESCAPE);
    }

    /** Each of what concerns the room, taken back by what is said after it. */
    private function undoing(): void
    {
        $says = fn (string $words): Closure => fn (): bool => str_contains($this->desk->text('#desk-notice'), $words);
        $this->key('p')->desk->until($says('Pens down for'), 'pens down');
        $this->take(
            'pens_undone',
            fn () => $this->tap('#desk-notice button'),
            fn (): bool => ! $this->student->find('#cover')->isDisplayed(),
        );
        $this->key('h')->desk->seen('#handout-do');
        $this->desk->run('document.querySelector("[name=what][value=prompt]").click()');
        $this->tap('#handout-form .btn-go')->desk->until($says('Handed out on'), 'handed out');
        $this->take('hand_out_undone', fn () => $this->tap('#desk-notice button'), $says('Undone.'));
        $this->tap('.rail-step[data-body*=closed]')->desk->until($says('is closed'), 'closed');
        $this->take('closing_undone', fn () => $this->tap('#desk-notice button'), $says('Undone: prompt'));
        // Later, from the list: a key, and its button.
        $this->key('g')->desk->until($says('Everyone is at'), 'brought together');
        $this->take(
            'undone_from_the_list',
            function (): void {
                $this->key('i')->desk->waitForText('.done-act', 'Everyone is at');
                $this->tap('.done-act button');
            },
            $says('Everyone is back'),
        );
        $this->desk->press(self::ESCAPE);
    }

    /** The digits are pressed as they come to mind, one after the other, without waiting for the canvas. */
    private function checking(): void
    {
        $n = count($this->desk->all('.tile'));
        $this->take("check_{$n}", function () use ($n): void {
            $this->key('q');
            for ($i = 0; $i < $n; $i++) {
                $this->key((string) (1 + $i % 3));
            }
        }, fn (): bool => $this->desk->run(
            'return document.querySelectorAll("#picture .picture-table tbody td[data-level]").length',
        ) === $n);
    }

    private function key(string $key): self
    {
        $this->presses++;
        $this->desk->press($key);

        return $this;
    }

    private function tap(string $selector): self
    {
        $this->presses++;
        $this->desk->click($selector);

        return $this;
    }

    /**
     * @param  Closure(): mixed  $do
     * @param  Closure(): bool  $isSeen  where it is to be seen
     */
    private function take(string $what, Closure $do, Closure $isSeen): void
    {
        Console::step($what);
        $this->presses = 0;
        $began = microtime(true);
        $do();
        $this->desk->until($isSeen, $what);
        $this->measured[$what] = [
            'presses' => $this->presses,
            'ms' => (int) round(1000 * (microtime(true) - $began)),
        ];
    }
}
