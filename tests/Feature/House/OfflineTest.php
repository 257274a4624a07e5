<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Http\PageAssets;
use App\Models\Seat;
use Tests\Support\OneStudentTestCase;

/** What makes a student's page one that opens without a network, and what a device forgets. */
final class OfflineTest extends OneStudentTestCase
{
    public function test_a_device_that_is_left_does_not_hold_the_seat_any_more(): void
    {
        $cookie = $this->asStudent($this->seat, $this->token)
            ->postJson("/seat/{$this->seat->id}/leave")
            ->assertOk()
            ->getCookie(Seat::cookieFor($this->session->id), false);
        self::assertNotNull($cookie);
        self::assertTrue($cookie->isCleared());
        // The place itself is kept, for another device.
        self::assertTrue($this->seat->fresh()?->isIn());
        $this->asNobody()->postJson("/seat/{$this->seat->id}/leave")->assertForbidden();
    }

    public function test_the_page_names_all_that_it_is_made_of(): void
    {
        $folder = public_path('build');
        if (! is_file("{$folder}/manifest.json")) {
            self::markTestSkipped('Nothing is built here.');
        }
        $assets = PageAssets::of('resources/scss/app.scss', 'resources/ts/pages/student.ts');
        foreach ($assets as $asset) {
            self::assertFileExists(public_path($asset));
        }
        $has = static fn (string $ending): bool => array_filter(
            $assets,
            static fn (string $one): bool => str_ends_with($one, $ending),
        ) !== [];
        self::assertTrue($has('.css') && $has('.js') && $has('.woff2'), 'scripts, styles and fonts');
        // What it brings in when it is wanted is not fetched for everybody, and what is another page's is not its own.
        $all = implode("\n", $assets);
        self::assertMatchesRegularExpression('#/student-[^/]+\.js#', $all);
        self::assertDoesNotMatchRegularExpression('#/(desk|mathjax)-[^/]+\.js#', $all);
        self::assertSame([], PageAssets::of('resources/ts/pages/nowhere.ts'));
    }

    public function test_the_worker_and_the_manifest_are_there_for_everybody(): void
    {
        $this->asNobody()->get('/app.webmanifest')->assertOk()->assertJsonPath('start_url', '/join');
        if (is_file(public_path('build/manifest.json'))) {
            $this->asNobody()->get('/worker.js')->assertOk()->assertHeader('Content-Type', 'text/javascript; charset=utf-8');
        }
    }
}
