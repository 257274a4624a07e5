<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** Prompts of a plan: several at once, taken from another plan beside it, kept to be used again; and pages copied. */
final class PlanRailTest extends BrowserTestCase
{
    public function test_prompts_are_chosen_copied_removed_kept_and_taken_from_another_plan(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $this->plan($teacher, 'Levers', ['One', 'Two', 'Three']);
        foreach ([0, 2] as $n) {
            $teacher->run('document.querySelectorAll(".plan-pick")[arguments[0]].click()', $n);
        }
        $teacher->waitForText('#plan-chosen-n', '2 chosen');
        $this->assertAccessible($teacher, 'chosen prompts', '.plan-rail');
        $teacher->click('[data-chosen=copy]');
        $this->words($teacher, ['One', 'Two', 'Three', 'One', 'Three']);
        self::assertFalse($teacher->find('#plan-chosen')->isDisplayed(), 'nothing is chosen any more');
        foreach ([3, 4] as $n) {
            $teacher->run('document.querySelectorAll(".plan-pick")[arguments[0]].click()', $n);
        }
        $teacher->click('[data-chosen=out]')->waitForText('#plan-notice', '2 prompts removed');
        $this->words($teacher, ['One', 'Two', 'Three']);
        $teacher->click('#plan-undo');
        $this->words($teacher, ['One', 'Two', 'Three', 'Three']);
        $teacher->run('document.querySelector("#plan-prompts [data-do=keep]").click()');
        $teacher->waitForText('#plan-notice', 'Kept.');

        // In another plan: what was kept stands above what ships, and the first plan beside it.
        $teacher->visit(self::$crag->address().'/plans');
        $this->plan($teacher, 'Frames', ['Four']);
        $teacher->click('#plan-ready')->seen('#own-ready li');
        $this->assertAccessible($teacher, 'own ready-made prompts', '#ready-window');
        $teacher->click('#own-ready [data-take]');
        $this->words($teacher, ['Four', 'One']);
        $teacher->click('#plan-other')->seen('#other-prompts li');
        $teacher->run(
            'const which = document.querySelector("#other-which");
            which.value = [...which.options].find((one) => one.textContent === "Levers").value;
            which.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $teacher->until(fn (): bool => count($teacher->all('#other-prompts li')) === 4, 'the other plan');
        $this->assertAccessible($teacher, 'another plan beside it', '.plan-middle');
        // Dragged onto the first prompt's upper half it comes before that one.
        $teacher->run(<<<'JS'
            const data = new DataTransfer();
            document.querySelectorAll('#other-prompts li')[1]
                .dispatchEvent(new DragEvent('dragstart', { dataTransfer: data, bubbles: true }));
            const onto = document.querySelector('#plan-prompts li');
            const { left, top } = onto.getBoundingClientRect();
            onto.dispatchEvent(new DragEvent('drop', {
                dataTransfer: data, bubbles: true, cancelable: true, clientX: left + 9, clientY: top + 3,
            }));
            JS);
        $this->words($teacher, ['Two', 'Four', 'One']);
        self::assertSame([], $teacher->complaints());
    }

    public function test_nothing_is_drawn_for_a_prompt_before_its_canvas_is_here(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $this->plan($teacher, 'Slow', ['One']);
        $teacher->find('#plan-bench [data-ready]');
        self::holdAnswers($teacher, '/canvas');
        $teacher->click('#plan-add');
        $teacher->until(fn (): bool => count($teacher->all('#plan-prompts [data-prompt]')) === 2, 'another');
        $teacher->until(fn (): bool => $teacher->run('return document.querySelector("#words").value') === '', 'it');
        $teacher->draw('#plan-bench .page-paper', [[.2, .2], [.4, .4]]);
        self::letAnswersGo($teacher);
        $teacher->find('#plan-bench [data-ready]');
        $teacher->draw('#plan-bench .page-paper', [[.5, .5], [.7, .7]]);
        $drawn = fn (): array => [
            $this->added('count(*)'),
            $this->added('max((select prompt_id from canvases where id = canvas_id))'),
        ];
        $second = $teacher->run('return document.querySelectorAll("#plan-prompts [data-prompt]")[1].dataset.prompt');
        $teacher->until(static fn (): bool => $drawn() === ['1', $second], 'the stroke on the canvas that is there');
        self::assertSame([], $teacher->complaints());
    }

    public function test_a_page_is_copied_with_what_is_drawn_on_it_right_behind_it(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $this->plan($teacher, 'Pages', ['One']);
        $teacher->find('#plan-bench [data-ready]');
        $paper = '#plan-bench .page-paper';
        $teacher->draw($paper, [[.2, .2], [.4, .4]])->draw($paper, [[.5, .2], [.7, .4]]);
        $teacher->click('[data-page-add], [data-add-page]');
        $teacher->until(fn (): bool => (bool) $teacher->run(
            'return document.querySelectorAll("#plan-bench .bench-pages").length > 0',
        ), 'a second page');
        $teacher->run('document.querySelector("#plan-bench [data-pages]").click()');
        $teacher->seen('.pages-window .page-list li');
        $teacher->run('document.querySelector(".page-list [data-copy-page]").click()');
        $teacher->until(fn (): bool => count($teacher->all('.page-list li')) === 3, 'three pages');
        $this->assertAccessible($teacher, 'pages', '.pages-window[open]');
        $teacher->until(
            fn (): bool => $this->added('count(*)') === '3',
            'what was drawn, once more in one step',
        );
        $body = json_decode($this->added('body'), true);
        self::assertIsArray($body);
        self::assertCount(2, $body['objects']);
        self::assertSame(
            $body['page'],
            $this->sql("select op_id from operations where kind = 'page' order by n desc limit 1"),
        );
        // It stands right behind the first, before the page that was there already.
        $teacher->until(fn (): bool => str_contains(
            (string) $this->sql("select body from operations where kind = 'arrange_page' order by n desc limit 1"),
            '"to":1',
        ), 'its place');
        self::assertSame([], $teacher->complaints());
    }

    public function test_an_answer_that_was_overtaken_does_not_take_a_new_prompt_away(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $this->plan($teacher, 'Late', ['One']);
        $teacher->run(<<<'JS'
            const real = window.fetch;
            window.looks = 0;
            window.fetch = async (what, how) => {
                const answer = await real(what, how);
                if (String(what).includes('/state?') && ++window.looks === 1) {
                    await new Promise((release) => { window.release = release; });
                }
                return answer;
            };
            JS);
        $teacher->until(fn (): bool => (bool) $teacher->run('return !!window.release'), 'a look on its way');
        $teacher->click('#plan-add');
        $open = 'return document.querySelectorAll("#plan-prompts li:nth-child(2).is-open").length';
        $teacher->until(fn (): bool => $teacher->run($open) === 1, 'the new prompt');
        $teacher->run(<<<'JS'
            window.lost = 0;
            new MutationObserver(() => { window.lost += document.querySelectorAll('#plan-prompts li').length < 2; })
                .observe(document.querySelector('#plan-prompts'), { childList: true });
            window.looks = 1;
            window.release();
            JS);
        $teacher->until(fn (): bool => $teacher->run('return window.looks') > 1, 'the look after it');
        self::assertSame(0, $teacher->run('return window.lost'));
        self::assertSame(1, $teacher->run($open));
        self::assertSame([], $teacher->complaints());
    }

    public function test_a_prompt_added_before_the_plan_is_here_comes_behind_the_first(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $this->plan($teacher, 'Early', ['One', 'Two']);
        // The first answer is lost, the second is late.
        ['identifier' => $id] = $teacher->developer('Page.addScriptToEvaluateOnNewDocument', ['source' => <<<'JS'
            const real = window.fetch;
            window.asked = 0;
            window.fetch = async (what, how) => {
                if (!String(what).endsWith('/state')) return real(what, how);
                if (++window.asked === 1) throw new TypeError('lost');
                await new Promise((release) => { window.release = release; });
                return real(what, how);
            };
            JS]);
        $teacher->driver->navigate()->refresh();
        $teacher->until(fn (): bool => (bool) $teacher->run('return !!window.release'), 'the plan, asked for again');
        $teacher->click('#plan-add')->run('window.release()');
        $this->words($teacher, ['One', '', 'Two']);
        $teacher->until(fn (): bool => $teacher->run(
            'return document.querySelectorAll("#plan-prompts li:nth-child(2).is-open").length',
        ) === 1, 'the new prompt');
        $teacher->developer('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $id]);
    }

    /** Of what was added to a canvas of the newest plan: so much of it, of the last first. */
    private function added(string $what): string
    {
        $plan = '(select id from plans order by rowid desc limit 1)';
        $canvases = "select canvases.id from canvases join prompts on prompts.id = prompt_id where plan_id = {$plan}";

        return (string) $this->sql(
            "select {$what} from operations where kind = 'add' and canvas_id in ({$canvases}) order by n desc limit 1",
        );
    }

    /** @param  list<string>  $words  a prompt each */
    private function plan(Page $teacher, string $title, array $words): void
    {
        $teacher->click('.library-head .btn-go')->type('#plan-title', $title);
        foreach ($words as $n => $said) {
            $teacher->click('#plan-add');
            $teacher->until(fn (): bool => count($teacher->all('#plan-prompts li')) === $n + 1, 'a prompt');
            $teacher->until(fn (): bool => $teacher->run(
                'const box = document.querySelector("#words"); return box.value === "" && box.checkVisibility()',
            ) === true, 'it open');
            $teacher->type('#words', $said);
        }
        $this->words($teacher, $words);
    }

    /** @param  list<string>  $words  of the prompts of the open plan, as they are stored */
    private function words(Page $teacher, array $words): void
    {
        $id = basename((string) parse_url($teacher->driver->getCurrentURL(), PHP_URL_PATH));
        $teacher->until(function () use ($id, $words): bool {
            $sequence = json_decode((string) $this->sql('select sequence from plans where id = ?', [$id]), true);

            return $words === array_map(
                fn (mixed $one): mixed => $this->sql('select words from prompts where id = ?', [$one]),
                is_array($sequence) ? array_values($sequence) : [],
            );
        }, implode(', ', $words));
        $teacher->until(
            fn (): bool => count($teacher->all('#plan-prompts li')) === count($words),
            'as many in the list',
        );
    }
}
