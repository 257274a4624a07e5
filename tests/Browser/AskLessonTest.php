<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Bench\Scribblers;
use Deploy\Browser\Engine;
use Deploy\Browser\Page;
use Deploy\DemoClass;
use Deploy\Port;
use Tests\Support\BrowserTestCase;

/** A lesson of asking, talking and praising with a class of 12 and a phone: every page says the same. */
final class AskLessonTest extends BrowserTestCase
{
    private const STUDENTS = 12;

    private const ALL = self::STUDENTS + 1;

    private const ESCAPE = "\u{E00C}";

    private static DemoClass $class;

    public static function setUpBeforeClass(): void
    {
        self::$class = DemoClass::start('127.0.0.1', Port::free(), 'asks');
        self::$crag = self::$class->instance;
        self::$browsers = Engine::shared();
    }

    public function test_a_class_is_asked_talks_and_is_praised_and_the_record_says_the_same(): void
    {
        $class = new Scribblers(self::$class, self::STUDENTS, 600, 5000);
        try {
            $desk = $this->person('desk')->visit(self::$class->addresses['desk']);
            $screen = $this->person('class screen')->visit(self::$class->addresses['screen']);
            $phone = $this->join('نور', self::$class->addresses['code'], 390, 844);
            $desk->until(fn (): bool => count($desk->all('.tile')) === self::ALL, 'the whole class', 40);
            $class->begin();
            $phone->draw('.page-paper', [[0.2, 0.2], [0.5, 0.4], [0.8, 0.2]]);
            $this->counted($desk, $screen, $phone);
            $this->talked($desk, $screen, $phone);
            $this->askedAgain($desk, $screen, $phone);
            $this->drawn($desk, $screen, $phone);
            $ran = $this->ran($desk, $screen, $phone);
            $this->recorded($desk, $ran);
            foreach ([$desk, $screen, $phone] as $page) {
                self::assertSame(
                    [],
                    array_filter(
                        $page->complaints(),
                        static fn (string $one): bool => preg_match('#/showcase/\S+\.svg\?\d+ - .*404#', $one) !== 1,
                    ),
                );
            }
        } finally {
            $class->leave();
        }
    }

    /** Two keys ask; the bars on the desk, on the class screen and on the phone are the same. */
    private function counted(Page $desk, Page $screen, Page $phone): void
    {
        $desk->press('a')->find('#ask-form');
        $desk->press('c');
        $phone->waitForText('#quick-ask', 'Your teacher asks')->click('#quick-ask label:nth-of-type(2)');
        $desk->waitForText('#ask-body', self::ALL.' of '.self::ALL.' answered', 40);
        $screen->waitForText('#shown', self::ALL.' answers');
        $desk->run('document.activeElement.blur()');
        $desk->press('/');
        $screen->find('.tally-bars');
        $phone->seen('#quick-ask-tally');
        $bars = self::bars($desk, '#ask-body .ask-now');
        self::assertSame(self::ALL, array_sum($bars));
        self::assertSame($bars, self::bars($screen, '#shown'));
        self::assertSame(
            array_values($bars),
            $phone->run('return [...document.querySelectorAll("#quick-ask-tally b")].map((one) => Number(one.textContent)).slice(0, 4)'),
        );
        // Each tile carries its student's choice.
        $desk->until(
            fn (): bool => $desk->run(
                'return [...document.querySelectorAll(".tile-choice")].filter((one) => /^[A-D]$/.test(one.textContent)).length',
            ) === self::ALL,
            'a choice on every tile',
        );
    }

    /** One of each before the class, which says whom it agrees with; and something kind. */
    private function talked(Page $desk, Page $screen, Page $phone): void
    {
        $desk->click('#ask-body [data-post$="one-of-each"]')->waitForText('#desk-notice', 'Showing one of each');
        $screen->find('.shown-works .shown-frame');
        $desk->press(self::ESCAPE)->press('s')->find('.show-praise [data-do=praise]');
        $works = count($screen->all('.shown-works .shown-frame'));
        if ($works > 1) {
            $desk->click('#ask-works');
            $phone->waitForText('#quick-ask', 'Which one do you agree with?');
            self::assertSame($works, count($phone->all('#quick-ask .question-option')));
        }
        $desk->click('.show-praise [data-n="1"]');
        $screen->waitForText('.shown-praise', 'Well done');
        self::assertSame(1, $this->sql("select count(*) from showcase_items where praise != ''"));
        $desk->press(self::ESCAPE);
    }

    /** The same question again: who moved, by name on the desk and by number for the class. */
    private function askedAgain(Page $desk, Page $screen, Page $phone): void
    {
        $desk->press('a')->find('#ask-before');
        $desk->run('document.querySelector("#ask-before").open = true');
        $phone->run('document.querySelector("#quick-ask-body").firstElementChild.dataset.before = "1"');
        $desk->run(
            '[...document.querySelectorAll("#ask-before [data-post$=again]")].at(-1).click()',
        );
        $desk->waitForText('#ask-body .ask-count', '0 of '.self::ALL);
        // What is pressed on the question before is no answer to this one.
        $phone->find('#quick-ask-body > :first-child:not([data-before])');
        $phone->click('#quick-ask label:nth-of-type(3)');
        $desk->waitForText('#ask-body .ask-count', self::ALL.' of '.self::ALL, 40)->waitForText('.moves', 'changed their answer');
        $desk->click('#ask-body [data-body*=\'"tally"\'][data-post$="screen"]');
        $desk->run('document.activeElement.blur()');
        $desk->press('/');
        $screen->waitForText('.moves', 'changed their answer');
        $numbers = 'return [...document.querySelectorAll("SELECTOR td")].map((one) => Number((one.querySelector("b") ?? one).textContent.replace("·", "0")))';
        self::assertSame(
            $desk->run(str_replace('SELECTOR', '#ask-body .moves', $numbers)),
            $screen->run(str_replace('SELECTOR', '#shown .moves', $numbers)),
        );
        self::assertStringNotContainsString('نور', $screen->text('#shown'));
        self::assertStringContainsString('نور', $desk->text('#ask-body .moves'));
    }

    /** Answered by drawing over work that stays; seen on the grid as it comes in. */
    private function drawn(Page $desk, Page $screen, Page $phone): void
    {
        $own = $this->stored('نور');
        $desk->run('document.activeElement.blur()');
        $desk->click('#ask-form [data-kind=drawing]');
        $phone->find('#ask-pad .page-frame[data-ready]');
        $phone->draw('#ask-pad .page-paper', [[0.2, 0.5], [0.8, 0.5]])->click('#ask-pad-send');
        $phone->seen('#ask-pad-again');
        self::assertSame($own + 1, $this->stored('نور'));
        $desk->waitForText('#ask-body', 'sent their drawing');
        $desk->press(self::ESCAPE)->until(
            fn (): bool => $desk->run('return [...document.querySelectorAll(".tile")].find((one) => one.textContent.includes("نور"))?.classList.contains("is-sent")') === true,
            'the drawing that was sent, on its tile',
            30,
        );
        $screen->waitForText('#shown', 'answer');
    }

    /**
     * Cards with teams: the desk and the class screen have the same standing.
     *
     * @return array{teams: list<string>}
     */
    private function ran(Page $desk, Page $screen, Page $phone): array
    {
        $desk->press('a');
        self::writeRun($desk, "Which way does it turn? | up; *down\nF at the end? | 80 N");
        $desk->choose('.run-card:nth-child(1) [data-card=look]', 'right');
        $desk->choose('#run-form [name=teams]', '3')->type('#run-form [name=team_names]', 'Arches, Cables, Trusses');
        $desk->click('#run-form [name=auto]')->click('#run-form .btn-slate');
        $phone->waitForText('#quick-ask', 'Which way does it turn?')->waitForText('#quick-ask-team', 'You’re in');
        $phone->click('#quick-ask label:nth-of-type(2)');
        $desk->waitForText('#ask-body .ask-count', self::ALL.' of '.self::ALL, 40);
        $desk->click('.run-now .btn-slate');
        $screen->waitForText('#shown', 'Right: down')->find('.shown-teams');
        $standing = 'return [...document.querySelectorAll("SELECTOR .run-teams li")].map((one) => one.textContent.replace(/\s+/g, " ").trim())';
        $teams = $screen->run(str_replace('SELECTOR', '.shown-teams', $standing));
        self::assertIsArray($teams);
        self::assertCount(3, $teams);
        $desk->waitForText('.run-now .btn-slate', 'Next card');
        self::assertSame($teams, $desk->run(str_replace('SELECTOR', '.run-now', $standing)));
        $desk->click('.run-now .btn-slate')->waitForText('.run-now', 'Card 2 of 2');
        $desk->click('.run-now .btn-slate')->waitForText('#ask-body', 'How everyone did');
        $desk->click('.run-result [data-post$=show]');
        $screen->waitForText('#shown', 'How everyone did');
        $end = $desk->run(str_replace('SELECTOR', '.run-result', $standing));
        self::assertSame($end, $screen->run(str_replace('SELECTOR', '#shown', $standing)));

        return ['teams' => is_array($end) ? array_values(array_filter($end, is_string(...))) : []];
    }

    /**
     * What the record says of it.
     *
     * @param  array{teams: list<string>}  $ran
     */
    private function recorded(Page $desk, array $ran): void
    {
        $csv = (string) $desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(`${location.pathname}/results.csv?table=asks`).then((answer) => answer.text()).then(done)',
        );
        $rows = array_map(
            static fn (string $line): array => str_getcsv($line, escape: ''),
            array_filter(explode("\n", str_replace("\r", '', $csv))),
        );
        $first = array_filter($rows, static fn (array $row): bool => $row[0] === '1');
        self::assertCount(self::ALL, $first);
        $run = array_filter($rows, static fn (array $row): bool => ($row[9] ?? '') === '1' && $row[1] === 'Which way does it turn?');
        self::assertCount(self::ALL, $run);
        self::assertCount(3, $ran['teams']);
        foreach ($ran['teams'] as $team) {
            self::assertMatchesRegularExpression('/^(Arches|Cables|Trusses) .*\d\.\d$/', $team);
        }
    }

    /** @return array<string, int> how many, by what they chose */
    private static function bars(Page $page, string $within): array
    {
        $bars = $page->run(
            <<<'JS'
            return Object.fromEntries([...document.querySelector(arguments[0]).querySelectorAll('.tally-bar')].map((bar) => [
                bar.querySelector('.tally-label').textContent.trim(), Number(bar.querySelector('.tally-n').textContent),
            ]));
            JS,
            $within,
        );

        return is_array($bars) ? array_map(intval(...), $bars) : [];
    }
}
