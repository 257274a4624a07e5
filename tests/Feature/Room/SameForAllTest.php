<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Http\SameForAll;
use Tests\Support\CragTestCase;

/** What is the same for a whole class is rendered once; what is somebody's own is theirs alone. */
final class SameForAllTest extends CragTestCase
{
    protected function tearDown(): void
    {
        SameForAll::forget();
        parent::tearDown();
    }

    public function test_each_student_has_their_own_addresses_in_the_same_tools(): void
    {
        $session = $this->newSession();
        [$ada, $adas] = $this->seat($session, 'Ada');
        [$bo, $bos] = $this->seat($session, 'Bo');
        $first = (string) $this->asStudent($ada, $adas)->get("/seat/{$ada->id}")->assertOk()->getContent();
        $second = (string) $this->asStudent($bo, $bos)->get("/seat/{$bo->id}")->assertOk()->getContent();
        self::assertStringContainsString("/seat/{$ada->id}/work/CANVAS.FORMAT", $first);
        self::assertStringContainsString("/seat/{$bo->id}/work/CANVAS.FORMAT", $second);
        self::assertStringNotContainsString($ada->id, $second);
        self::assertStringNotContainsString('own-files-here', $first.$second);
        self::assertStringNotContainsString('own-home-here', $first.$second);
        self::assertSame(1, substr_count($second, 'id="tray"'));
    }

    public function test_what_somebody_wrote_is_shown_as_it_was_written(): void
    {
        $session = $this->newSession('Beams <b> own-name-here');
        [$ada, $adas] = $this->seat($session, 'own-seat-here');
        [$bo, $bos] = $this->seat($session, 'Bo & Co');
        $session->prompt?->update(['words' => '</script> own-code-here "Why?"']);
        $page = (string) $this->asStudent($ada, $adas)->get("/seat/{$ada->id}")->assertOk()->getContent();
        self::assertStringContainsString('<h1 class="visually-hidden">Beams &lt;b&gt; own-name-here</h1>', $page);
        self::assertStringContainsString('<span class="strip-who" dir="auto">own-seat-here</span>', $page);
        self::assertStringContainsString('&lt;/script&gt; own-code-here &quot;Why?&quot;', $page);
        self::assertSame(1, preg_match('#<script id="opening"[^>]*>(.*?)</script>#s', $page, $found));
        $opening = json_decode($found[1] ?? '', true, flags: JSON_THROW_ON_ERROR);
        self::assertSame('</script> own-code-here "Why?"', $opening['prompt']['words'] ?? null);
        $other = (string) $this->asStudent($bo, $bos)->get("/seat/{$bo->id}")->assertOk()->getContent();
        self::assertStringContainsString('<span class="strip-who" dir="auto">Bo &amp; Co</span>', $other);
        self::assertStringNotContainsString('own-seat-here', $other);
        foreach ([$ada->ink_key, $ada->id, $ada->channelId()] as $secret) {
            self::assertStringContainsString($secret, $page);
            self::assertStringNotContainsString($secret, $other);
        }
    }

    public function test_it_is_the_view_itself_in_each_language_and_with_each_setting(): void
    {
        $data = ['label' => 'Your canvas', 'lead' => false];
        $own = ['files' => '/x?a=1&b="2"', 'home' => '/home'];
        $plain = view('bench.bench', $data + $own)->render();
        foreach (['made', 'kept'] as $time) {
            self::assertSame($plain, SameForAll::view('bench.bench', $data, $own)->toHtml(), $time);
        }
        config(['crag.dictation' => ! config('crag.dictation')]);
        self::assertSame(
            view('bench.bench', $data + $own)->render(),
            SameForAll::view('bench.bench', $data, $own)->toHtml(),
            'another setting',
        );
        self::assertNotSame($plain, SameForAll::view('bench.bench', ['lead' => true] + $data, $own)->toHtml());
    }

    public function test_words_are_what_they_are_and_made_once(): void
    {
        $times = 0;
        $make = function () use (&$times): array {
            $times++;

            return ['hello' => 'Hello “you”', 'rtl' => 'مرحبا'];
        };
        foreach ([1, 2] as $time) {
            self::assertSame(['hello' => 'Hello “you”', 'rtl' => 'مرحبا'], SameForAll::words('test', $make));
        }
        self::assertSame(1, $times);
        app()->setLocale('xx');
        SameForAll::words('test', $make);
        self::assertSame(2, $times, 'another language has others');
        SameForAll::forget();
        SameForAll::words('test', $make);
        self::assertSame(3, $times, 'a release begins anew');
    }
}
