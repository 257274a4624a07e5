<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** Numbers that are different for each student, made by pressing; and the way through the editor by keyboard. */
final class ValueChipsTest extends BrowserTestCase
{
    private const TAB = "\u{E004}";

    public function test_a_number_in_the_words_becomes_one_that_is_drawn_and_the_same_again(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add')->seen('#words');
        $teacher->type('#words', 'A load of 60 N hangs 3 m away.');
        // Nothing chosen: the page says what to do, and changes nothing.
        $teacher->run('const words = document.querySelector("#words"); words.focus(); words.setSelectionRange(0, 1)');
        $teacher->click('#value-add')->waitForText('#plan-notice', 'Select a number');
        $this->choose($teacher, '60')->click('#value-add')->seen('#value-window');
        foreach (['from' => '20', 'to' => '90', 'step' => '10'] as $field => $value) {
            $teacher->type("#value-{$field}", $value);
        }
        $teacher->click('#condition-add')->type('[data-condition=two]', '50');
        $this->assertAccessible($teacher, 'a value', '#value-window');
        $teacher->click('#value-window [value=take]');
        $teacher->waitForText('#value-draws', '7 different draws');
        self::assertSame('A load of {a: 20..90 step 10; a ≠ 50} N hangs 3 m away.', $this->words($teacher));
        self::assertCount(3, $teacher->all('.value-sample'));
        // A second one gets another letter; a dash is asked about and becomes a range with one press.
        $this->choose($teacher, '3 m', 1)->click('#value-add')->seen('#value-window');
        $teacher->click('#value-window [value=take]');
        self::assertStringContainsString('{b: 2..9} m', $this->words($teacher));
        $teacher->type('#words', 'Work out {a: 2-9} times 4.');
        $teacher->waitForText('.value-chip', 'Did you mean from 2 to 9?')->click('.value-chip');
        $teacher->waitForText('#value-draws', '8 different draws');
        self::assertSame('Work out {a: 2..9} times 4.', $this->words($teacher));
        // The same for everyone again.
        $teacher->click('.value-chip')->seen('#value-window');
        $teacher->click('#value-window [value=same]');
        self::assertSame('Work out 2 times 4.', $this->words($teacher));
        $teacher->until(
            fn (): bool => $this->sql('select words from prompts where plan_id is not null') === 'Work out 2 times 4.',
            'it is saved',
        );
        self::assertSame([], $teacher->complaints());
    }

    public function test_from_the_words_to_a_question_it_is_a_few_tabs_however_many_questions_there_are(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-head .btn-go')->click('#plan-add')->seen('#words');
        foreach (['number', 'text', 'choice'] as $n => $kind) {
            $teacher->run('document.querySelector("#words").focus()');
            $way = [];
            for ($tabs = 0; $tabs < 5 && end($way) !== 'question-new'; $tabs++) {
                $teacher->press(self::TAB);
                $way[] = $teacher->run('return document.activeElement.id');
            }
            self::assertSame('question-new', end($way), implode(', ', array_map(strval(...), $way)));
            $teacher->choose('#question-new', $kind);
            $teacher->until(
                fn (): bool => count($teacher->all('#question-list > li')) === $n + 1 &&
                    $teacher->run('return document.activeElement.dataset.field') === 'words',
                "{$kind}, the focus in its words",
            );
        }
    }

    private function words(Page $teacher): string
    {
        $words = $teacher->run('return document.querySelector("#words").value');

        return is_string($words) ? $words : '';
    }

    /** @param  ?int  $letters  of what is looked for: all without it */
    private function choose(Page $teacher, string $what, ?int $letters = null): Page
    {
        $teacher->run(
            <<<'JS'
            const words = document.querySelector('#words');
            const at = words.value.indexOf(arguments[0]);
            words.focus();
            words.setSelectionRange(at, at + (arguments[1] ?? arguments[0].length));
            JS,
            $what,
            $letters,
        );

        return $teacher;
    }
}
