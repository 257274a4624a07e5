<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Browser\Page;
use Deploy\Child;
use Deploy\Port;
use Tests\Support\BrowserTestCase;

/** The teacher's voice: a spoken note, a talk-through played to the class, and a talk with one student. */
final class VoicesTest extends BrowserTestCase
{
    private const SECRET = 'north-light';

    private static Child $turn;

    public static function setUpBeforeClass(): void
    {
        $port = Port::free();
        self::$turn = new Child('turn', [
            '/usr/bin/turnserver', '-n', '--listening-ip=127.0.0.1', "--listening-port={$port}", '--relay-ip=127.0.0.1',
            '--allow-loopback-peers', '--no-cli', '--no-tls', '--no-dtls', '--no-multicast-peers', '--use-auth-secret',
            '--static-auth-secret='.self::SECRET, '--realm=sillbeck.example', '--log-file=stdout', '--simple-log',
            '--pidfile=',
        ], sys_get_temp_dir()."/crag-turn-{$port}.log", []);
        self::$turn->start();
        putenv('CRAG_RECORDING=1');
        putenv('CRAG_CAMERA=1');
        putenv('CRAG_DICTATION=1');
        putenv('CRAG_LIVE_TALK=1');
        // Nothing that is tested leaves this machine.
        putenv('CRAG_TALK_NETWORKS=127.0.0.0/8');
        putenv("CRAG_TURN_URL=turn:127.0.0.1:{$port}?transport=udp");
        putenv('CRAG_TURN_SECRET='.self::SECRET);
        parent::setUpBeforeClass();
    }

    public static function tearDownAfterClass(): void
    {
        parent::tearDownAfterClass();
        self::$turn->stop();
        foreach (['RECORDING', 'CAMERA', 'DICTATION', 'LIVE_TALK', 'TALK_NETWORKS', 'TURN_URL', 'TURN_SECRET'] as $one) {
            putenv("CRAG_{$one}");
        }
    }

    public function test_a_teacher_and_a_student_talk_from_page_to_page(): void
    {
        [$teacher, $code] = $this->startLesson();
        $wren = $this->join('Wren', $code, 390, 844);
        $mate = $this->join('Tamsin', $code, 390, 844);
        self::closeUp($teacher, 'Wren');
        $this->listenToPeers($teacher);
        $this->listenToPeers($wren);
        // Asked, and declined.
        $teacher->click('.closeup-side [data-do=talk-live]')->waitForText('#live-desk', 'Asking Wren');
        $wren->waitForText('#live-talk-words', 'Ms Okafor-Lind would like to talk');
        $this->assertAccessible($wren, 'a page that is asked to talk', '#live-talk');
        $this->assertAccessible($teacher, 'a desk that asks', '#live-desk');
        self::assertFalse($mate->find('#live-talk')->isDisplayed());
        $wren->click('#live-talk-no')->until(fn (): bool => ! $wren->find('#live-talk')->isDisplayed(), 'no question');
        $teacher->until(fn (): bool => ! $teacher->find('#live-desk')->isDisplayed(), 'the answer');
        $teacher->waitForText('#desk-notice', 'Wren can’t talk right now');
        // Asked again, two presses fast after one another; a page that is loaded again is still asked.
        $teacher->run('for (const i of [1, 2]) document.querySelector(".closeup-side [data-do=talk-live]").click()');
        $wren->seen('#live-talk-yes');
        $wren->driver->navigate()->refresh();
        $wren->find('#page-frame[data-ready]');
        $this->listenToPeers($wren);
        $wren->seen('#live-talk-yes')->click();
        $teacher->waitForText('#live-desk-words', 'Talking with Wren');
        $wren->waitForText('#live-talk-words', 'Talking with Ms Okafor-Lind');
        $this->assertAccessible($wren, 'a page that talks', '#live-talk');
        // Both hear sound, and how long it has been is seen at both.
        foreach ([$teacher, $wren] as $page) {
            $page->until(fn (): bool => $this->heard($page)['bytes'] > 4_000, 'sound');
            $page->until(fn (): bool => $page->text('#live-talk-time, #live-desk-time') >= '0:02', 'its time');
        }
        self::assertSame('host', $this->heard($teacher)['way']);
        // The canvas works meanwhile; nobody else is asked, or hears of it.
        $wren->draw('#page-frame', [[0.2, 0.3], [0.6, 0.4]], 'touch');
        $wren->until(fn (): bool => $this->stored('Wren') === 1, 'the stroke');
        self::assertFalse($mate->find('#live-talk')->isDisplayed());
        // Muted, then ended at the student's page.
        $wren->click('#live-talk-mute')->until(
            fn (): bool => $wren->find('#live-talk-mute')->getAttribute('aria-pressed') === 'true',
            'muted',
        );
        $wren->click('#live-talk-end');
        $teacher->until(fn (): bool => ! $teacher->find('#live-desk')->isDisplayed(), 'the end');
        $teacher->waitForText('#desk-notice', 'The talk with Wren is over');
        // Nothing of it is kept.
        self::assertSame(0, (int) $this->sql("select count(*) from events where body like '%candidate%'"));
        self::assertSame([], $teacher->complaints());
    }

    public function test_a_page_that_goes_away_ends_the_talk_and_the_next_one_begins(): void
    {
        [$teacher, $code] = $this->startLesson();
        $wren = $this->join('Wren', $code, 390, 844);
        self::closeUp($teacher, 'Wren');
        for ($i = 0; $i < 2; $i++) {
            // A page that has only just come back may not be there yet: the desk says so, and is pressed again.
            $teacher->until(function () use ($teacher, $wren): bool {
                if (! $teacher->find('#live-desk')->isDisplayed()) {
                    $teacher->run('document.querySelector(".closeup-side [data-do=talk-live]").click()');
                }

                return $wren->find('#live-talk-yes')->isDisplayed();
            }, 'the question');
            $wren->click('#live-talk-yes');
            $teacher->waitForText('#live-desk-words', 'Talking with Wren');
            if ($i === 0) {
                $wren->driver->navigate()->refresh();
                $wren->find('#page-frame[data-ready]');
                $teacher->until(fn (): bool => ! $teacher->find('#live-desk')->isDisplayed(), 'the end');
                self::assertFalse($wren->find('#live-talk')->isDisplayed());
            }
        }
        // And the other way round: the desk is loaded again in the middle of it.
        $teacher->driver->navigate()->refresh();
        $teacher->find('#grid[data-ready]');
        $wren->until(fn (): bool => ! $wren->find('#live-talk')->isDisplayed(), 'the end');
        $wren->waitForText('#notice', 'The talk is over');
    }

    public function test_between_networks_sound_goes_through_a_turn_server(): void
    {
        [$teacher, $code] = $this->startLesson();
        $wren = $this->join('Wren', $code, 390, 844);
        self::closeUp($teacher, 'Wren');
        $this->listenToPeers($teacher, true);
        $this->listenToPeers($wren, true);
        $teacher->click('.closeup-side [data-do=talk-live]');
        $wren->seen('#live-talk-yes')->click();
        $teacher->waitForText('#live-desk-words', 'Talking with Wren');
        foreach ([$teacher, $wren] as $page) {
            $page->until(fn (): bool => $this->heard($page)['bytes'] > 2_000, 'sound');
            self::assertSame('relay', $this->heard($page)['way']);
        }
    }

    public function test_a_spoken_note_is_left_and_a_talk_through_is_played_to_the_class(): void
    {
        [$teacher, $code] = $this->startLesson();
        $wren = $this->join('Wren', $code, 390, 844);
        $wren->draw('#page-frame', [[0.2, 0.3], [0.6, 0.4]], 'touch');
        $wren->until(fn (): bool => $this->stored('Wren') === 1, 'the stroke');
        self::closeUp($teacher, 'Wren');
        $teacher->click('.closeup-side .speak')->seen('#spoken .talk-stop');
        $this->assertAccessible($teacher, 'a desk that records', '#spoken');
        $teacher->click('[data-mode=coach]');
        $teacher->find('#closeup-page-frame[data-ready]');
        $teacher->draw('#closeup-page-frame', [[0.3, 0.6], [0.5, 0.6]], 'pen');
        $teacher->until(fn (): bool => $teacher->text('#spoken .talk-time') >= '0:02', 'two seconds');
        $teacher->click('#spoken .talk-stop')->seen('#spoken .talk-send');
        $teacher->type('#spoken textarea', 'Look at the support.');
        $teacher->click('#spoken .talk-send');
        $teacher->until(fn (): bool => ! $teacher->find('#spoken')->isDisplayed(), 'it to be sent');
        // The student has it at once, can play it, put it aside, and hear it again.
        $wren->waitForText('#letters .voice', 'Look at the support.');
        $this->assertAccessible($wren, 'a page with a spoken note', '#letters');
        $wren->run('document.querySelector("#letters .voice audio").play()');
        $wren->until(
            fn (): bool => $wren->run('return document.querySelector("#letters .voice audio").currentTime') > 0,
            'the voice',
        );
        $wren->click('#letters .voice .letter-read')->until(
            fn (): bool => $wren->run('return document.querySelector("#letters .voice") === null'),
            'it to go',
        );
        $wren->driver->navigate()->refresh();
        $wren->find('#page-frame[data-ready]');
        $wren->seen('#coach-listen')->click();
        $wren->seen('#letters .voice');
        // It is played to the class, with its words.
        $screen = $this->person('screen')->visit((string) $teacher->find('#open-screen')->getAttribute('href'));
        $teacher->waitForText('#closeup-talks', 'Look at the support.');
        $teacher->click('#closeup-talks [data-post$="/show"]');
        $screen->waitForText('.shown-caption', 'Look at the support.');
        $this->assertAccessible($screen, 'a class screen that plays a talk-through', '#shown');
        $screen->until(
            fn (): bool => (float) $screen->run('return document.querySelector(".shown-work").dataset.played') >= 1,
            'its end',
        );
        // Taken back, it is nowhere.
        $teacher->click('#closeup-talks [data-post$="/remove"]');
        $wren->until(
            fn (): bool => $wren->run('return document.querySelector("#letters .voice") === null'),
            'it to go',
        );
        self::assertSame(0, (int) $this->sql('select count(*) from talk_throughs'));
        self::assertSame([], $teacher->complaints());
    }

    public function test_a_student_is_seen_in_a_corner_and_what_is_said_is_written_down(): void
    {
        [$teacher, $code] = $this->startLesson();
        $teacher->run('document.querySelector("#settings [name=recording]").click()');
        $wren = $this->join('Wren', $code, 390, 844);
        $wren->click('#more')->seen('#talk-through');
        self::assertFalse($wren->find('#talk-filmed')->isDisplayed());
        $wren->click('#more');
        $teacher->run('document.querySelector("#settings [name=camera]").click()');
        $this->standInForDictation($wren);
        $wren->click('#more')->seen('#talk-filmed');
        $wren->click('#talk-filmed')->seen('#talk-bar .talk-film');
        $this->assertAccessible($wren, 'a page that films', '#talk-bar');
        // The device's dictation is off until it is switched on, and says where the voice goes.
        self::assertNull($wren->run('return window.dictation ?? null'));
        $wren->waitForText('#talk-bar .talk-dictate', 'may send your voice');
        $wren->click('#talk-bar .talk-dictate input');
        $wren->until(fn (): bool => $wren->run('return window.dictation?.isOn === true'), 'dictation');
        $wren->run('window.dictation.say("It tips to the left.")');
        $wren->draw('#page-frame', [[0.2, 0.3], [0.6, 0.4]], 'touch');
        $wren->until(fn (): bool => $wren->text('#talk-bar .talk-time') >= '0:02', 'two seconds');
        $wren->click('#talk-bar .talk-stop')->seen('#talk-bar .talk-send');
        self::assertFalse($wren->run('return window.dictation.isOn'));
        self::assertMatchesRegularExpression(
            '/^0:0\d It tips to the left\.$/',
            (string) $wren->run('return document.querySelector("#talk-bar textarea").value'),
        );
        self::assertFalse($wren->find('#talk-bar audio')->isDisplayed());
        $wren->click('#talk-bar .talk-send');
        $wren->until(fn (): bool => ! $wren->find('#talk-bar')->isDisplayed(), 'it to be sent');
        self::assertSame(1, (int) $this->sql('select count(*) from talk_throughs where is_filmed'));
        // In the close-up the picture is in the corner, and the words are below.
        self::closeUp($teacher, 'Wren');
        $teacher->waitForText('#closeup-talks', 'It tips to the left.');
        $teacher->click('#closeup-talks [data-do=play-talk]');
        $teacher->until(
            fn (): bool => $teacher->run('return document.querySelector("#player .player-camera")?.videoWidth > 0'),
            'the picture',
        );
        $teacher->waitForText('.player-caption', 'It tips to the left.');
        $teacher->click('.player-close');
        self::assertNull($teacher->run('return document.querySelector(".player-camera")'));
        self::assertSame([], $teacher->complaints());
    }

    /** This browser has no dictation: one that hears what it is told to. */
    private function standInForDictation(Page $page): void
    {
        $page->run(
            <<<'JS'
            window.SpeechRecognition = window.webkitSpeechRecognition = class extends EventTarget {
                start() { this.isOn = true; window.dictation = this; }
                stop() { this.isOn = false; }
                say(transcript) {
                    const one = Object.assign([{ transcript }], { isFinal: true });
                    this.dispatchEvent(Object.assign(new Event('result'), { resultIndex: 0, results: [one] }));
                }
            };
            JS
        );
    }

    /** As somebody who has allowed the microphone, once and for all: then a browser says where it can be reached. */
    protected function person(string $who, int $width = 1280, int $height = 800): Page
    {
        $page = parent::person($who, $width, $height);
        $page->developer('Browser.grantPermissions', [
            'origin' => self::$crag->address(),
            'permissions' => ['audioCapture', 'videoCapture'],
        ]);

        return $page;
    }

    /** What the page's connection to another browser does can be asked; it has nothing but the relay, or no relay. */
    private function listenToPeers(Page $page, bool $relay = false): void
    {
        $policy = $relay ? "{ ...settings, iceTransportPolicy: 'relay' }" : '{ ...settings, iceServers: [] }';
        $page->run(
            <<<JS
            const Peer = window.RTCPeerConnection;
            window.RTCPeerConnection = function (settings) {
                return (window.peer = new Peer({$policy}));
            };
            JS
        );
    }

    /** @return array{bytes: int, way: string} */
    private function heard(Page $page): array
    {
        /** @var array{bytes: int, way: string} */
        return $page->driver->executeAsyncScript(
            <<<'JS'
            const [done] = arguments;
            window.peer.getStats().then((stats) => {
                const all = [...stats.values()];
                const pair = stats.get(all.find((one) => one.type === 'transport')?.selectedCandidatePairId);
                const way = pair === undefined ? '' : stats.get(pair.localCandidateId).candidateType;
                const sound = all.find((one) => one.type === 'inbound-rtp');
                done({ bytes: sound?.bytesReceived ?? 0, way });
            });
            JS
        );
    }
}
