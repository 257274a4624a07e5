<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Tests\Support\BrowserTestCase;

/** A drawing explained aloud, with the browser's made-up microphone: recorded, sent, and played with the ink. */
final class TalkTest extends BrowserTestCase
{
    public static function setUpBeforeClass(): void
    {
        putenv('CRAG_RECORDING=1');
        parent::setUpBeforeClass();
    }

    public static function tearDownAfterClass(): void
    {
        putenv('CRAG_RECORDING');
        parent::tearDownAfterClass();
    }

    public function test_a_talk_through_is_recorded_while_drawing_survives_a_reload_and_is_played(): void
    {
        [$teacher, $code] = $this->startLesson();
        $wren = $this->join('Wren', $code, 390, 844);
        $wren->click('#more')->until(fn (): bool => ! $wren->find('#talk-through')->isDisplayed(), 'no recording yet');
        $wren->click('#more');
        $teacher->run('document.querySelector("#settings [name=recording]").click()');
        $wren->click('#more')->seen('#talk-through');
        $wren->click('#talk-through')->seen('#talk-bar .talk-stop');
        self::assertFalse($wren->find('#more-menu')->isDisplayed());
        $this->assertAccessible($wren, 'a page that records', '#talk-bar');
        // The pen draws meanwhile.
        $wren->draw('#page-frame', [[0.2, 0.1], [0.5, 0.2], [0.8, 0.1]], 'touch');
        $wren->until(fn (): bool => $this->stored('Wren') === 1, 'the stroke');
        $wren->until(fn (): bool => $wren->text('#talk-bar .talk-time') >= '0:03', 'three seconds');
        $wren->click('#talk-bar .talk-stop')->seen('#talk-bar .talk-send');
        self::assertFalse($wren->find('#talk-bar .talk-stop')->isDisplayed());
        // It is still there when the page is loaded again; then it is sent, without a network at first.
        $wren->driver->navigate()->refresh();
        $wren->find('#page-frame[data-ready]');
        $wren->seen('#talk-bar .talk-send');
        $this->assertAccessible($wren, 'what was said', '#talk-bar');
        $wren->type('#talk-bar textarea', 'It tips to the left.');
        $wren->offline(true);
        $wren->click('#talk-bar .talk-send')->waitForText('#notice', 'No network');
        $wren->offline(false);
        $wren->until(fn (): bool => ! $wren->find('#talk-bar')->isDisplayed(), 'it to be sent');
        self::assertSame(1, $this->talks());
        // The tile says so; in the close-up the voice plays, and the ink by its clock.
        $teacher->until(fn (): bool => $teacher->find('.tile-talks')->isDisplayed(), 'a microphone on the tile');
        $teacher->run('document.querySelector(".tile-open").click()');
        $teacher->find('#closeup-page-frame[data-ready]');
        $teacher->waitForText('#closeup-talks', 'It tips to the left.');
        $this->assertAccessible($teacher, 'a close-up with a talk-through', '#closeup-talks');
        $teacher->click('#closeup-talks [data-do=play-talk]')->seen('#player .player-page');
        $teacher->until(fn (): bool => $this->inked($teacher, '#player .player-page') > 0, 'the drawing in the replay');
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelector(".player-play").getAttribute("aria-pressed")') === 'false',
            'the end of it',
        );
        // From any moment, and thrown away before it is sent it is nowhere.
        $teacher->run(
            'const at = document.querySelector(".player-at"); at.value = 0; at.dispatchEvent(new Event("input", { bubbles: true }))',
        );
        $teacher->until(fn (): bool => $this->inked($teacher, '#player .player-page') === 0, 'the beginning');
        $wren->click('#more')->click('#talk-through')->seen('#talk-bar .talk-stop');
        $wren->click('#talk-bar .talk-stop')->click('#talk-bar .talk-drop');
        $wren->until(fn (): bool => ! $wren->find('#talk-bar')->isDisplayed(), 'nothing');
        self::assertSame(1, $this->talks());
        // What waits to be sent does not stay on a device that is left.
        $wren->click('#more')->click('#talk-through')->seen('#talk-bar .talk-stop');
        $wren->until(fn (): bool => $wren->text('#talk-bar .talk-time') >= '0:02', 'two seconds');
        $wren->click('#more')->click('#leave-device')->click('#leave-window .btn-end');
        $wren->find('#code');
        self::assertSame(0, $this->keptOnDevice($wren));
        self::assertSame([], $teacher->complaints());
    }

    private function keptOnDevice(Page $page): mixed
    {
        return $page->driver->executeAsyncScript(
            <<<'JS'
            const [done] = arguments;
            const asked = indexedDB.open('crag-talk', 1);
            asked.onsuccess = () => {
                const count = asked.result.transaction('said').objectStore('said').count();
                count.onsuccess = () => done(count.result);
            };
            JS
        );
    }

    private function talks(): int
    {
        return (int) $this->sql('select count(*) from talk_throughs');
    }
}
