<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\BrowserTestCase;

/** Words on a page: bold, italic, raised, lowered, in lists and as code, while they are typed and afterwards. */
final class LettersTest extends BrowserTestCase
{
    private const ESCAPE = "\u{E00C}";

    private const CONTROL = "\u{E009}";

    private const SHIFT = "\u{E008}";

    private const LEFT = "\u{E012}";

    private const ENTER = "\u{E007}";

    private Page $page;

    private string $name = '';

    private static int $students = 0;

    private static string $code = '';

    #[TestWith([1280, 800])]
    #[TestWith([390, 844])]
    public function test_what_is_chosen_while_typing_gets_another_look(int $width, int $height): void
    {
        $this->begin($width, $height);
        $this->write([0.2, 0.3], 'v2 = 9');
        // The "2" is chosen and raised, what is typed next is not.
        foreach (range(1, 4) as $step) {
            $this->page->press(self::LEFT);
        }
        $this->page->press(self::SHIFT, self::LEFT)->click('[data-tool=text]')->click('[data-mark=sup]');
        self::assertSame('true', $this->page->find('[data-mark=sup]')->getAttribute('aria-pressed'));
        $this->page->press(self::ESCAPE);
        $text = $this->made(1)[0]['body']['object'];
        self::assertSame(['v2 = 9', [[1, 2, 'sup']]], [$text['text'], $text['marks']]);
        self::assertSame([], $this->page->complaints());
    }

    public function test_keys_make_words_bold_and_lines_become_a_list(): void
    {
        $this->begin();
        $this->page->option('[data-tool=text]')->option('[data-list=numbers]');
        $this->write([0.2, 0.3], 'Find ', true);
        $this->page->press(self::CONTROL, 'b');
        $this->keys('R');
        $this->page->press(self::CONTROL, 'b');
        $this->keys(' first');
        $this->page->press(self::ENTER);
        $this->keys('then L');
        $this->page->press(self::ESCAPE);
        $text = $this->made(1)[0]['body']['object'];
        self::assertSame("Find R first\nthen L", $text['text']);
        self::assertSame([[[5, 6, 'b']], 'numbers'], [$text['marks'], $text['list']]);
        // Opened again they are as they were, and a word more at the end changes nothing of the others.
        $this->page->option('[data-tool=move]')->draw('.page-paper', [[0.23, 0.3]]);
        $this->page->option('[data-chosen=edit]');
        $this->keys(' too');
        $this->page->press(self::ESCAPE);
        $set = $this->made(2)[1]['body']['set'];
        self::assertSame(["Find R first\nthen L too"], array_values(array_diff_key($set, ['w' => 0])));
        self::assertSame([], $this->page->complaints());
    }

    public function test_all_the_words_of_what_is_chosen_get_a_look_and_lose_it(): void
    {
        $this->begin();
        $this->write([0.2, 0.3], 'moment');
        $this->page->press(self::ESCAPE)->option('[data-tool=move]')->draw('.page-paper', [[0.22, 0.3]]);
        $this->made(1);
        $this->page->option('.tray-options [data-mark=b]');
        self::assertSame([[0, 6, 'b']], $this->made(2)[1]['body']['set']['marks']);
        $this->page->option('.tray-options [data-mark=b]');
        self::assertSame([], $this->made(3)[2]['body']['set']['marks']);
        $this->page->option('.tray-options [data-face=code]');
        $set = $this->made(4)[3]['body']['set'];
        self::assertSame('code', $set['face']);
        self::assertGreaterThan(0, $set['w'], 'letters of one width take other room');
    }

    public function test_what_is_pasted_comes_as_words_alone_and_no_more_than_fits(): void
    {
        $this->begin();
        $this->write([0.1, 0.1], 'F ');
        $this->page->run(
            <<<'JS'
            const data = new DataTransfer();
            data.setData('text/html', '<b onclick="alert(1)">240 N</b><img src=x onerror="window.hit = 1">');
            data.setData('text/plain', '240 N\r\n' + 'x'.repeat(3000));
            document.querySelector('.page-typing').dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
            JS
        );
        $this->page->press(self::ESCAPE);
        $text = $this->made(1)[0]['body']['object'];
        self::assertStringStartsWith("F 240 N\nxxx", $text['text']);
        self::assertSame(1900, mb_strlen(str_replace("\u{2028}", '', $text['text'])));
        self::assertArrayNotHasKey('marks', $text);
        self::assertNull($this->page->run('return window.hit ?? null'));
    }

    /** @param  array{float, float}  $at */
    private function write(array $at, string $words, bool $isChosen = false): void
    {
        if (! $isChosen) {
            $this->page->option('[data-tool=text]');
        }
        $this->page->draw('.page-paper', [$at]);
        $this->keys($words);
    }

    private function keys(string $words): void
    {
        $this->page->seen('.page-typing')->sendKeys($words);
    }

    /** @return list<array{kind: string, body: array<string, mixed>}> */
    private function made(int $count): array
    {
        return $this->page->until(
            fn (): array => count($log = $this->log($this->name)) === $count ? $log : [],
            "{$count} operations; there are ".implode(', ', array_column($this->log($this->name), 'kind')),
        );
    }

    private function begin(int $width = 1280, int $height = 800): void
    {
        if (self::$code === '') {
            [, self::$code] = $this->startLesson();
        }
        $this->name = 'Kerensa '.++self::$students;
        $this->page = $this->join($this->name, self::$code, $width, $height);
    }
}
