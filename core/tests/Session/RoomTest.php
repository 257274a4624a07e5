<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Canvas\Log\LateInk;
use Crag\Session\Door\DeviceKind;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\NameMode;
use Crag\Session\Door\PersonName;
use Crag\Session\Door\SeatCode;
use Crag\Session\Door\UnsuitableWords;
use Crag\Session\Life\Expiry;
use Crag\Session\Life\Retention;
use Crag\Session\Life\SessionSettings;
use Crag\Session\Room\InvalidTimer;
use Crag\Session\Room\MayDraw;
use Crag\Session\Room\Pens;
use Crag\Session\Room\ShortMessage;
use Crag\Session\Room\Timer;
use Crag\Session\Rules\Refusal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RoomTest extends TestCase
{
    public function test_ink_made_before_drawing_was_stopped_counts_however_late_it_comes(): void
    {
        $rule = MayDraw::always()->stopped(Refusal::PensDown, 100_000)->stopped(Refusal::Sent, null);
        self::assertNull($rule->holdsBack(99_000, 500_000));
        self::assertNull($rule->holdsBack(100_000 + MayDraw::ON_THE_WAY_MS, 500_000));
        self::assertSame(Refusal::PensDown, $rule->holdsBack(100_001 + MayDraw::ON_THE_WAY_MS, 500_000));
        self::assertSame(Refusal::PensDown, $rule->holdsBack(99_000, 100_001 + LateInk::GRACE_MS));
        self::assertNull(MayDraw::always()->holdsBack(1, PHP_INT_MAX));
    }

    public function test_the_stroke_that_was_under_way_counts_whatever_the_devices_clock_says(): void
    {
        $rule = MayDraw::always()->stopped(Refusal::PensDown, 100_000);
        self::assertNull($rule->holdsBack(9_000_000, 100_000 + MayDraw::ON_THE_WAY_MS));
        self::assertNotNull($rule->holdsBack(9_000_000, 100_001 + MayDraw::ON_THE_WAY_MS));
    }

    public function test_of_two_reasons_the_first_that_holds_is_told(): void
    {
        $rule = MayDraw::always()->stopped(Refusal::PromptClosed, 200_000)->stopped(Refusal::Sent, 100_000);
        self::assertSame(Refusal::Sent, $rule->holdsBack(150_000, 300_000));
        self::assertSame(Refusal::PromptClosed, $rule->holdsBack(250_000, 300_000));
    }

    public function test_pens_that_are_down_the_longest_cover_the_page(): void
    {
        $one = Pens::down(2_000, ' Look here ');
        self::assertSame('Look here', $one->words);
        self::assertEquals($one, Pens::read($one->toArray()));
        self::assertFalse(Pens::read(null)->isDown());
        self::assertSame(1_000, Pens::inForce(Pens::up(), $one, Pens::down(1_000, ''))->downSinceMs);
        self::assertFalse(Pens::inForce(Pens::up(), Pens::up())->isDown());
        $this->expectException(InvalidName::class);
        Pens::down(0, str_repeat('a', 201));
    }

    public function test_a_timer_runs_pauses_and_gets_more(): void
    {
        $timer = Timer::set(60_000, 1_000, true, false);
        self::assertSame([61_000, 41_000], [$timer->endsMs, $timer->left(20_000)]);
        $paused = $timer->paused(21_000);
        self::assertSame([null, 40_000, 40_000], [$paused->endsMs, $paused->left(21_000), $paused->left(99_000)]);
        self::assertSame(100_000, $paused->more(60_000, 50_000)->left(70_000));
        self::assertSame(90_000, $paused->resumed(50_000)->endsMs);
        self::assertSame(121_000, $timer->more(60_000, 20_000)->endsMs);
        self::assertSame(60_000, $timer->more(60_000, 500_000)->left(500_000), 'one that has run out begins anew');
        self::assertSame($timer, $timer->resumed(5_000));
        self::assertSame($paused, $paused->paused(5_000));
        self::assertEquals($paused, Timer::read($paused->toArray()));
        self::assertEquals($timer, Timer::read($timer->toArray()));
    }

    public function test_a_timer_brings_pens_down_at_zero_if_it_shall(): void
    {
        $timer = Timer::set(60_000, 0, true, true);
        self::assertFalse($timer->pens(59_999, 'Time')->isDown());
        self::assertSame(60_000, $timer->pens(60_000, 'Time')->downSinceMs);
        self::assertFalse($timer->paused(59_000)->pens(99_000, '')->isDown());
        self::assertFalse(Timer::set(60_000, 0, true, false)->pens(99_000, '')->isDown());
    }

    #[TestWith([0])]
    #[TestWith([Timer::LONGEST_MS + 1])]
    public function test_no_time_and_too_much_are_no_timer(int $ms): void
    {
        $this->expectException(InvalidTimer::class);
        Timer::set($ms, 0, false, false);
    }

    public function test_a_number_or_nothing_can_stand_for_a_student(): void
    {
        self::assertSame(
            ['Tamsin', 'Seat 2', ''],
            array_map(static fn (NameMode $mode): string => $mode->show('Tamsin', 'Seat 2'), NameMode::cases()),
        );
    }

    #[TestWith(['Mudlark', true])]
    #[TestWith(['mud lark!', true])]
    #[TestWith(['Mudl4rk the Third', true])]
    #[TestWith(['MÚDLÄRK', true])]
    #[TestWith(['Mu Dlarson', false])]
    #[TestWith(['Clark', false])]
    #[TestWith(['نور', false])]
    public function test_unsuitable_words_are_found_in_disguise(string $name, bool $found): void
    {
        $words = UnsuitableWords::read("mudlark, \n; clodpole;123\nmudlark");
        self::assertSame(['mudlark', 'clodpole'], $words->words);
        self::assertSame($found, $words->areIn(PersonName::read($name)));
        self::assertFalse(UnsuitableWords::none()->areIn(PersonName::read($name)));
    }

    public function test_a_session_without_a_sign_of_life_warns_and_then_ends(): void
    {
        $two = 120 * 60_000;
        self::assertSame(Expiry::Alive, Expiry::of(0, $two - Expiry::WARNING_MS - 1, 120));
        self::assertSame(Expiry::Warned, Expiry::of(0, $two - Expiry::WARNING_MS, 120));
        self::assertSame(Expiry::Over, Expiry::of(0, $two, 120));
        self::assertSame(Expiry::Alive, Expiry::of(0, 7 * 60_000, 15), 'a short time is not all warning');
    }

    public function test_what_is_kept_is_kept_so_many_days(): void
    {
        $month = Retention::days(30);
        self::assertSame(30 * 86_400_000 + 5, $month->untilMs(5));
        self::assertFalse($month->isOver(5, 30 * 86_400_000 + 4));
        self::assertTrue($month->isOver(5, 30 * 86_400_000 + 5));
        self::assertFalse($month->isNone());
        self::assertTrue(Retention::days(0)->isNone());
        self::assertTrue(Retention::days(0)->isOver(5, 5), 'no days: gone with the end');
        self::assertSame([0, Retention::LONGEST_DAYS], [Retention::days(-3)->days, Retention::days(9999)->days]);
    }

    public function test_one_that_is_left_open_ends_at_its_moment_and_not_before(): void
    {
        self::assertSame(Expiry::Alive, Expiry::at(1000, 999));
        self::assertSame(Expiry::Over, Expiry::at(1000, 1000));
    }

    public function test_settings_are_as_usual_where_nothing_sensible_is_said(): void
    {
        $usual = SessionSettings::usual();
        self::assertSame(
            [NameMode::Names, NameMode::Hidden, true, false, 120],
            [$usual->deskNames, $usual->shownNames, $usual->messages, $usual->cover, $usual->expiresAfterMinutes],
        );
        self::assertEquals(
            $usual,
            SessionSettings::read([
                'desk_names' => 'loud',
                'shown_names' => 7,
                'expires_after' => 'soon',
                'unsuitable' => 4,
            ]),
        );
        $changed = $usual->with([
            'shown_names' => 'seats',
            'messages' => false,
            'expires_after' => 3,
            'unsuitable' => 'mudlark',
        ]);
        self::assertSame(
            [NameMode::Seats, false, 15, ['mudlark'], true],
            [
                $changed->shownNames,
                $changed->messages,
                $changed->expiresAfterMinutes,
                $changed->unsuitable->words,
                $changed->sound,
            ],
        );
        self::assertEquals($changed, SessionSettings::read($changed->toArray()));
    }

    public function test_a_seat_code_works_for_a_while(): void
    {
        self::assertTrue(SeatCode::isValid(5, 5 + SeatCode::VALID_MS));
        self::assertFalse(SeatCode::isValid(5, 6 + SeatCode::VALID_MS));
        self::assertFalse(SeatCode::isValid(null, 6));
    }

    public function test_a_note_has_words_and_not_too_many(): void
    {
        self::assertSame("Stuck at\nb", ShortMessage::read(" Stuck at\nb\u{202e} ")->words);
        foreach (['  ', str_repeat('a', 301)] as $bad) {
            try {
                ShortMessage::read($bad);
                self::fail($bad);
            } catch (InvalidName $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }

    #[TestWith(['Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X) Mobile/15E148', DeviceKind::Phone])]
    #[TestWith(['Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Mobile Safari/537.36', DeviceKind::Phone])]
    #[TestWith(['Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Safari/537.36', DeviceKind::Tablet])]
    #[TestWith(['Mozilla/5.0 (X11; Linux x86_64) HeadlessChrome/140', DeviceKind::Laptop])]
    public function test_the_kind_of_device(string $agent, DeviceKind $kind): void
    {
        self::assertSame($kind, DeviceKind::of($agent));
    }
}
