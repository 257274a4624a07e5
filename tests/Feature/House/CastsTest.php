<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Models\LiveSession;
use Crag\Json\UnreadableFields;
use Crag\Plan\PromptPages;
use Crag\Session\Room\Pens;
use Crag\Session\Room\Timer;
use Crag\Tests\Canvas\Examples;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;
use Tests\Support\CragTestCase;

/** JSON columns that are values of the core. */
final class CastsTest extends CragTestCase
{
    public function test_a_column_is_a_value_as_soon_as_it_is_read(): void
    {
        $session = $this->newSession();
        $session->update(['pens' => Pens::down(5, 'Look up'), 'timer' => Timer::set(90_000, 0, false, true)]);
        $read = LiveSession::query()->findOrFail($session->id);
        self::assertEquals(Pens::down(5, 'Look up'), $read->pens);
        self::assertSame(90_000, $read->timer?->left(0));
        $read->update(['pens' => Pens::up(), 'timer' => null]);
        self::assertNull(DB::table('live_sessions')->value('pens'));
        self::assertFalse($read->refresh()->pens->isDown());
        self::assertNull($read->timer);
    }

    public function test_saving_something_else_does_not_write_what_was_read_before(): void
    {
        $session = $this->newSession();
        self::assertFalse($session->pens->isDown());
        LiveSession::query()->findOrFail($session->id)->update(['pens' => Pens::down(5, '')]);
        $session->update(['title' => 'Levers again']);
        self::assertTrue($session->refresh()->pens->isDown());
    }

    /** Limits may be lowered later: what was taken when they were higher is still there, whole. */
    public function test_what_is_stored_is_read_though_it_would_not_be_taken_today(): void
    {
        $long = ['text' => str_repeat('moments ', 5000)] + (array) Examples::all()['text'];
        $pages = [['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => $long]]]];
        $prompt = $this->newSession()->prompt()->firstOrFail();
        DB::table('prompts')->where('id', $prompt->id)->update(['pages' => json_encode($pages, JSON_THROW_ON_ERROR)]);
        $read = $prompt->refresh()->pages;
        self::assertStringContainsString($long['text'], json_encode($read?->toArray(), JSON_THROW_ON_ERROR));
        $this->expectException(UnreadableFields::class);
        PromptPages::read($pages);
    }

    public function test_nothing_but_such_a_value_is_taken(): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage('pens is a Crag\Session\Room\Pens.');
        $this->newSession()->update(['pens' => ['since' => 5]]);
    }
}
