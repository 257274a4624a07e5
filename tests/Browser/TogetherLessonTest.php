<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;
use ZipArchive;

/**
 * A whole lesson, together and aloud: a class that is known at the door, three groups of three on shared canvases, a
 * talk-through, a talk with one student, two teachers, and somebody who does not belong to the class.
 */
final class TogetherLessonTest extends BrowserTestCase
{
    private const CLASS_LIST = <<<'CSV'
        Name,Group,Email
        Tamsin Vale,Oak,tamsin.vale@sillbeck.example
        Rafe Dunmore,Oak,
        Jory Penhale,Oak,
        Ikenna Orr,Steel,
        Aino Kestrel,Steel,
        Mabel Thorne,Steel,
        Solveig Marsh,Stone,
        Bo Larkspur,Stone,
        نور الهدى,Stone,nur.alhuda@sillbeck.example
        CSV;

    private const SET = [
        'RECORDING' => '1',
        'LIVE_TALK' => '1',
        'TALK_NETWORKS' => '127.0.0.0/8',
        'OIDC_ISSUER' => '/simulated-accounts',
        'OIDC_SECRET' => 'north-light',
        'OIDC_NAME' => 'your Sillbeck account',
    ];

    private Page $teacher;

    /** @var array<string, Page> by first name */
    private array $at = [];

    public static function setUpBeforeClass(): void
    {
        foreach (self::SET as $name => $value) {
            putenv("CRAG_{$name}={$value}");
        }
        parent::setUpBeforeClass();
    }

    public static function tearDownAfterClass(): void
    {
        parent::tearDownAfterClass();
        foreach (array_keys(self::SET) as $name) {
            putenv("CRAG_{$name}");
        }
    }

    public function test_a_lesson_together_and_aloud(): void
    {
        $code = $this->openForTheClass();
        $this->comeIn($code);
        $this->anOutsiderKnocks($code);
        $helper = $this->aSecondTeacherComes();

        $this->teacher->choose('.rail-actions:not([hidden]) [name=sharing]', 'group');
        $this->threeGroupsDraw();
        $this->twoHandsOnOnePiece();
        $this->oneExplainsAloud();
        $this->oneIsTalkedWith();
        self::assertSame([], $helper->complaints());
        $this->inTheRecord();
    }

    private function openForTheClass(): string
    {
        [$this->teacher, $code] = $this->startLesson();
        $desk = (string) $this->teacher->run('return location.pathname');
        $this->teacher->visit(self::$crag->address().'/classes')->type('#name', '9B Beams');
        $this->teacher->run('document.querySelector("#names").value = arguments[0]', self::CLASS_LIST);
        $this->teacher->run('document.querySelector("#names").form.requestSubmit()');
        $this->teacher->find('.class-table');
        self::assertSame('nur.alhuda@sillbeck.example', $this->sql('select account from roster_entries where n = 9'));
        $this->sql('update live_sessions set roster_id = (select id from rosters)');
        $this->teacher->visit(self::$crag->address().$desk)->find('#grid[data-ready]');
        $this->teacher->click('#door-button')->click('.door-states [data-body*=list]');
        $this->teacher->until(
            fn (): bool => $this->sql('select door from live_sessions') === 'list',
            'class list only',
        );
        $this->teacher->press("\u{E00C}");
        $this->teacher->run('document.querySelector("#settings [name=recording]").click()');

        return $code;
    }

    private function comeIn(string $code): void
    {
        foreach (explode("\n", self::CLASS_LIST) as $i => $line) {
            [$name, , $account] = explode(',', $line);
            if ($i === 0) {
                continue;
            }
            $size = $name === 'Tamsin Vale' ? [390, 844] : [1100, 760];
            $page = $this->person($name, ...$size)->visit(self::$crag->address()."/join/{$code}");
            $account === '' ? $this->tap($page, '.join-name', $name) : $this->signIn($page, $name);
            $page->find('#page-frame[data-ready]');
            self::readPrompt($page);
            $this->at[explode(' ', $name)[0]] = $size[0] < 1000 ? self::seeWhole($page) : $page;
        }
        self::assertSame(9, (int) $this->sql("select count(*) from seats where state = 'seated'"));
        self::assertSame(2, (int) $this->sql('select count(*) from seats where account_hash is not null'));
        $this->teacher->until(fn (): bool => count($this->teacher->all('.tile')) === 9, 'nine tiles');
    }

    /** On the school's own page, which stands apart from the lesson. */
    private function signIn(Page $page, string $name): void
    {
        $this->tap($page, 'a', 'Sign in with your Sillbeck account');
        $page->until(
            fn (): bool => str_contains((string) $page->run('return location.pathname'), 'simulated'),
            'the school’s page',
        );
        $this->tap($page, '.join-name', $name);
    }

    private function tap(Page $page, string $selector, string $words): void
    {
        $page->until(fn (): bool => $page->run(
            'const [selector, words] = arguments;
             const found = [...document.querySelectorAll(selector)].find((one) => one.textContent.includes(words));
             found?.click();
             return found !== undefined;',
            $selector,
            $words,
        ) === true, $words);
    }

    private function anOutsiderKnocks(string $code): void
    {
        $robin = $this->person('Robin', 390, 844)->visit(self::$crag->address()."/join/{$code}");
        $robin->type('#name', 'Robin Hale')->press("\u{E007}");
        $robin->waitForText('main', 'knock');
        $this->teacher->click('#door-button')->waitForText('#doorway', 'not on the list');
        $seat = $this->sql("select id from seats where name = 'Robin Hale'");
        self::assertSame('knocking', $this->sql('select state from seats where id = ?', [$seat]));
        // Nothing of the lesson is there for who is outside.
        self::assertSame([], $robin->all('#page-frame'));
        $this->teacher->press("\u{E00C}");
    }

    private function aSecondTeacherComes(): Page
    {
        $session = basename((string) $this->teacher->run('return location.pathname'));
        $key = (string) $this->sql('select helper_key from live_sessions');
        $helper = $this->person('helper')->visit(self::$crag->address()."/beside/{$session}/{$key}");
        $helper->type('#name', 'Mr Adeyemi')->click('.btn-go');
        $helper->find('#grid[data-ready]');
        $this->teacher->waitForText('#colleagues', 'Mr Adeyemi');

        return $helper;
    }

    private function threeGroupsDraw(): void
    {
        $groups = ['Tamsin' => ['Rafe', 'Jory'], 'Ikenna' => ['Aino', 'Mabel'], 'Solveig' => ['Bo', 'نور']];
        foreach ($groups as $first => $mates) {
            foreach ($mates as $mate) {
                $this->at[$mate]->until(
                    fn (): bool => $this->open($mate) === $this->open($first),
                    "one canvas for {$first} and {$mate}",
                );
            }
        }
        self::assertCount(3, array_unique(array_map($this->open(...), array_keys($this->at))));
        // One is away for twenty seconds, and draws on.
        $this->at['Bo']->offline(true);
        $since = microtime(true);
        $drawn = "from operations where kind = 'add' and layer = 'student'";
        foreach (array_keys($this->at) as $i => $name) {
            $y = 0.1 + 0.08 * $i;
            $this->at[$name]->draw('#page-frame', [[0.2, $y], [0.5, $y + 0.03]], $name === 'Tamsin' ? 'touch' : 'pen');
        }
        $this->teacher->until(
            fn (): bool => (int) $this->sql("select count(*) {$drawn}") === 8,
            'what eight have drawn',
        );
        usleep((int) max(0, 20_000_000 - 1_000_000 * (microtime(true) - $since)));
        $this->at['Bo']->offline(false);
        foreach ($this->at as $name => $page) {
            $page->until(fn (): bool => count($this->scene($name)) === 3, "{$name}’s group’s three strokes");
        }
        self::assertSame(9, (int) $this->sql("select count(distinct op_id) {$drawn}"));
        // Undo takes back one's own.
        $this->at['Jory']->click('#undo');
        $this->at['Rafe']->until(fn (): bool => count($this->scene('Rafe')) === 2, 'two strokes');
        $this->at['Jory']->click('#redo');
        $this->at['Tamsin']->until(fn (): bool => count($this->scene('Tamsin')) === 3, 'three again');
    }

    private function twoHandsOnOnePiece(): void
    {
        $prompt = $this->teacher->run('return document.querySelector("#grid").dataset.ready');
        $this->postAs($this->teacher, "prompt/{$prompt}/hand-out", [
            'what' => 'pieces', 'mode' => 'pieces', 'page' => 0, 'seats' => null,
            'objects' => [['object' => [
                'type' => 'piece', 'alt' => 'Beam', 'locked' => false, 'stack' => false,
                'of' => [
                    'type' => 'rectangle', 'x' => 8000, 'y' => 6000, 'w' => 4000, 'h' => 2000,
                    'colour' => '#25323b', 'width' => 40,
                    'filled' => true,
                ],
            ]]],
        ]);
        [$one, $two] = [$this->at['Ikenna'], $this->at['Aino']];
        foreach (['Ikenna', 'Aino'] as $name) {
            $this->at[$name]->until(fn (): bool => count($this->scene($name)) === 4, 'the piece');
            $this->at[$name]->option('[data-tool=move]');
        }
        $one->draw('#page .page-paper', [[0.62, 0.7], [0.6, 0.5], [0.6, 0.3]], 'mouse', 16, false);
        $two->draw('#page .page-paper', [[0.62, 0.7], [0.7, 0.7], [0.85, 0.7]], 'mouse', 16, false);
        $one->lift();
        $two->lift();
        $one->until(
            fn (): bool => (int) $this->sql("select count(*) from operations where kind = 'arrange'") === 2,
            'both to have let go',
        );
        $scenes = fn (): array => array_map($this->scene(...), ['Ikenna', 'Aino', 'Mabel']);
        $one->until(static fn (): bool => count(array_unique($scenes(), SORT_REGULAR)) === 1, 'one place everywhere');
    }

    private function oneExplainsAloud(): void
    {
        $solveig = $this->at['Solveig'];
        $solveig->click('#more')->click('#talk-through')->seen('#talk-bar .talk-stop');
        $solveig->draw('#page-frame', [[0.6, 0.2], [0.8, 0.3]], 'pen');
        $solveig->until(fn (): bool => $solveig->text('#talk-bar .talk-time') >= '0:02', 'two seconds');
        $solveig->click('#talk-bar .talk-stop')->seen('#talk-bar .talk-send');
        $solveig->type('#talk-bar textarea', 'It tips to the left.')->click('#talk-bar .talk-send');
        $solveig->until(fn (): bool => ! $solveig->find('#talk-bar')->isDisplayed(), 'it to be sent');
        $this->teacher->until(fn (): bool => array_filter(
            $this->teacher->all('.tile-talks'),
            static fn ($one): bool => $one->isDisplayed(),
        ) !== [], 'a microphone on the group’s tile');
        self::closeUp($this->teacher, 'Stone');
        $this->teacher->waitForText('#closeup-talks', 'It tips to the left.');
        $this->teacher->click('#closeup-talks [data-do=play-talk]');
        $this->teacher->waitForText('.player-caption', 'It tips to the left.');
        $this->teacher->until(
            fn (): bool => $this->teacher->find('.player-play')->getAttribute('aria-pressed') === 'false',
            'the end of it',
        );
        $this->teacher->click('.player-close');
        $screen = $this->person('screen')->visit((string) $this->teacher->find('#open-screen')->getAttribute('href'));
        $this->teacher->click('#closeup-talks [data-post$="/show"]');
        $screen->waitForText('.shown-caption', 'It tips to the left.');
    }

    private function oneIsTalkedWith(): void
    {
        $tamsin = $this->at['Tamsin'];
        $seat = $this->sql("select id from seats where name = 'Tamsin Vale'");
        // Of a group each is asked for by name.
        self::closeUp($this->teacher, 'Oak');
        $this->teacher->click('.closeup-side [data-do=talk-live]');
        $this->teacher->seen("#talk-body [data-do=talk][data-seat='{$seat}']")->click();
        $this->teacher->seen("#talk-body [data-do=talk-live][data-seat='{$seat}']")->click();
        $tamsin->seen('#live-talk-yes')->click();
        $this->teacher->waitForText('#live-desk-words', 'Talking with Tamsin Vale');
        foreach (['Rafe', 'Jory', 'Ikenna'] as $other) {
            self::assertFalse($this->at[$other]->find('#live-talk')->isDisplayed());
        }
        $tamsin->draw('#page-frame', [[0.5, 0.8], [0.7, 0.8]], 'touch');
        $this->at['Rafe']->until(fn (): bool => count($this->scene('Rafe')) >= 5, 'what is drawn meanwhile');
        $this->teacher->click('#live-desk-end');
        $tamsin->waitForText('#notice', 'The talk is over');
    }

    private function inTheRecord(): void
    {
        $seat = $this->sql("select id from seats where name = 'Solveig Marsh'");
        $bytes = $this->teacher->driver->executeAsyncScript(
            <<<'JS'
            const [seat, done] = arguments;
            fetch(`${location.pathname}/student/${seat}/everything.zip`)
                .then((answer) => answer.arrayBuffer())
                .then((zip) => done(btoa([...new Uint8Array(zip)].map((one) => String.fromCharCode(one)).join(''))));
            JS
            ,
            [$seat],
        );
        $path = (string) tempnam(sys_get_temp_dir(), 'crag');
        file_put_contents($path, base64_decode((string) $bytes, true));
        $zip = new ZipArchive();
        self::assertTrue($zip->open($path));
        $names = array_map(static fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
        $talk = array_values(preg_grep('/-talk-1\.(webm|vtt|html)$/', $names) ?: []);
        self::assertCount(3, $talk, implode(' ', $names));
        $sound = $zip->getFromName(str_replace(['.vtt', '.html'], '.webm', $talk[0]));
        self::assertStringContainsString('OpusHead', (string) $sound);
        $zip->close();
        unlink($path);
    }

    private function open(string $name): mixed
    {
        return $this->at[$name]->run('return document.querySelector("#page-frame").dataset.ready');
    }

    /** @return list<mixed> what lies on the page and where, as the list of what is there says it */
    private function scene(string $name): array
    {
        return array_values((array) $this->at[$name]->run(
            'return [...document.querySelectorAll("#bench .bench-objects .object")].map((one) => one.textContent)',
        ));
    }

    /** As somebody who has allowed the microphone. */
    protected function person(string $who, int $width = 1280, int $height = 800): Page
    {
        $page = parent::person($who, $width, $height);
        $page->developer('Browser.grantPermissions', [
            'origin' => self::$crag->address(),
            'permissions' => ['audioCapture', 'videoCapture'],
        ]);

        return $page;
    }
}
