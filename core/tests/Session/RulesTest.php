<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Closure;
use Crag\Session\Door\Door;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Refusal;
use Crag\Session\Rules\RefusedDeed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
use Crag\Session\Rules\Situation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The table of rules against what it shall say, said another way, in every situation there is. */
final class RulesTest extends TestCase
{
    /** @var list<Situation>|null */
    private static ?array $situations = null;

    public static function tearDownAfterClass(): void
    {
        self::$situations = null;
    }

    /** @param  Closure(Situation): bool  $may */
    #[DataProvider('deeds')]
    public function test_every_deed_in_every_situation(Deed $deed, string $who, Closure $may): void
    {
        $roles = [
            'students' => [Role::Student],
            'teachers' => [Role::Helper, Role::Colleague],
            'colleagues' => [Role::Colleague],
        ][$who];
        $checked = 0;
        foreach (self::situations() as $now) {
            foreach (Role::cases() as $role) {
                $expected = in_array($role, $roles, true) && $may($now);
                if ((Rules::refusal($deed, $role, $now) === null) !== $expected) {
                    self::fail("{$role->value} {$deed->value}: ".json_encode($now));
                }
                $checked++;
            }
        }
        self::assertSame(49_152 * 3, $checked);
    }

    /** @return iterable<string, array{Deed, string, Closure(Situation): bool}> */
    public static function deeds(): iterable
    {
        $in = static fn (Situation $s): bool => $s->isRunning && $s->seat === SeatState::Seated;
        $draws = static fn (Situation $s): bool => $in($s) &&
            ! $s->isPensDown &&
            $s->prompt === PromptState::Open &&
            ! $s->isSent;
        $seen = static fn (Situation $s): bool => in_array(
            $s->prompt,
            [PromptState::Open, PromptState::Closed],
            true,
        );
        $running = static fn (Situation $s): bool => $s->isRunning;
        $always = static fn (Situation $s): bool => true;
        $students = [
            'knock_again' => static fn (Situation $s): bool => $s->isRunning &&
                $s->door !== Door::Shut &&
                in_array($s->seat, [SeatState::TurnedAway, SeatState::SentOut], true),
            'see_own_work' => static fn (Situation $s): bool => $s->seat === SeatState::Seated && $seen($s),
            'see_shown' => static fn (Situation $s): bool => $s->seat === SeatState::Seated,
            'work' => $draws,
            'bring_in' => $draws,
            'turn_to' => static fn (Situation $s): bool => $in($s) &&
                ! $s->isPensDown &&
                $s->pace === Pace::Own &&
                $seen($s),
            'see_lead' => static fn (Situation $s): bool => $in($s) && $s->isLeadShown,
            'send' => static fn (Situation $s): bool => $in($s) && $s->prompt === PromptState::Open && ! $s->isSent,
            'take_back' => static fn (Situation $s): bool => $in($s) &&
                $s->prompt === PromptState::Open &&
                $s->isSent &&
                ! $s->isRevealed,
            'put_hand_up' => $in,
            'talk_through' => static fn (Situation $s): bool => $in($s) && $seen($s),
            'change_device' => $in,
            'choose_light' => $in,
            'answer_ask' => $in,
            'answer_talk' => $in,
            'offer' => static fn (Situation $s): bool => $in($s) && $seen($s) && $s->hasOffers,
            'keep_back' => static fn (Situation $s): bool => $in($s) && $s->hasKeepBack,
            'write' => static fn (Situation $s): bool => $in($s) && $s->hasMessages,
            'take_home' => $always,
            'hear' => $always,
        ];
        $uncovered = static fn (Situation $s): bool => ! $s->isCovered;
        $seesWork = static fn (Situation $s): bool => $s->isRunning && ! $s->isCovered;
        $teachers = [
            'watch' => $always,
            'take_record' => $always,
            'see_work' => $uncovered,
            'keep_notes' => $uncovered,
            'check' => $seesWork,
            'coach' => $seesWork,
            'line_up' => $seesWork,
            'speak_to' => $seesWork,
            'talk_live' => $running,
            'pick' => $running,
            'take_on' => $running,
            'answer' => $running,
            'let_in' => $running,
            'rename' => $running,
            'hand_out_to_some' => $running,
            'keep_open' => $running,
        ];
        $colleagues =
            [
                'reveal' => static fn (Situation $s): bool => $s->isRunning && $s->isCovered,
                'choose_keep' => $always,
                'go_on' => $always,
                'forget_student' => $always,
                'forget' => static fn (Situation $s): bool => ! $s->isRunning,
                'reopen' => static fn (Situation $s): bool => ! $s->isRunning && $s->isJustOver,
            ] +
            array_fill_keys(
                [
                    'hand_out',
                    'send_out',
                    'set_door',
                    'change_prompts',
                    'set_pens',
                    'set_timer',
                    'ask',
                    'make_groups',
                    'lead',
                    'cover',
                    'choose_screen',
                    'change_settings',
                    'end',
                ],
                $running,
            );
        foreach (['students' => $students, 'teachers' => $teachers, 'colleagues' => $colleagues] as $who => $some) {
            foreach ($some as $name => $may) {
                yield $name => [Deed::from($name), $who, $may];
            }
        }
    }

    public function test_no_deed_is_left_out_here(): void
    {
        $named = array_keys(iterator_to_array(self::deeds()));
        $all = array_column(Deed::cases(), 'value');
        sort($named);
        sort($all);
        self::assertSame($all, $named);
    }

    public function test_what_the_room_and_the_seat_say_together_is_the_whole_answer(): void
    {
        $deeds = Deed::ofStudentsPage();
        $seen = ['room' => 0, 'seat' => 0];
        foreach (self::situations() as $now) {
            $ofRoom = Rules::mayOfRoom($now, ...$deeds);
            $ofSeat = Rules::mayOfSeat($now, ...$deeds);
            foreach (Rules::may(Role::Student, $now, ...$deeds) as $deed => $why) {
                $together = $ofRoom[$deed] ?? $ofSeat[$deed];
                if (($why === null) !== ($together === null)) {
                    self::fail("{$deed}: ".json_encode([$why, $together, $now]));
                }
                $seen['room'] += $ofRoom[$deed] === null ? 0 : 1;
                $seen['seat'] += $ofSeat[$deed] === null ? 0 : 1;
            }
        }
        self::assertGreaterThan(0, min($seen));
    }

    public function test_every_deed_has_a_word_of_its_own(): void
    {
        $words = array_map(static fn (Deed $deed): string => $deed->word(), Deed::cases());
        self::assertSame($words, array_values(array_unique($words)));
    }

    public function test_who_comes_in(): void
    {
        self::assertSame(SeatState::Seated, Door::Open->answer(false));
        self::assertSame(SeatState::Knocking, Door::Open->answer(true));
        self::assertSame(SeatState::Knocking, Door::Knock->answer(false));
        $this->expectExceptionObject(RefusedDeed::because(Refusal::DoorShut));
        Door::Shut->answer(false);
    }

    #[TestWith([Deed::Work, new Situation(seat: SeatState::Seated, isPensDown: true), Refusal::PensDown])]
    #[TestWith([Deed::Work, new Situation(seat: SeatState::SentOut, isPensDown: true), Refusal::NotIn])]
    #[TestWith([Deed::Work, new Situation(isRunning: false, seat: SeatState::Seated), Refusal::Ended])]
    #[
        TestWith([
            Deed::Work,
            new Situation(seat: SeatState::Seated, prompt: PromptState::Skipped),
            Refusal::PromptUnseen,
        ]),
    ]
    #[TestWith([Deed::KnockAgain, new Situation(seat: SeatState::KeptOut), Refusal::KeptOut])]
    #[TestWith([Deed::KnockAgain, new Situation(seat: SeatState::Seated), Refusal::IsIn])]
    public function test_the_first_reason_is_told(Deed $deed, Situation $now, Refusal $why): void
    {
        $this->expectExceptionObject(RefusedDeed::because($why));
        Rules::check($deed, Role::Student, $now);
    }

    /**
     * Made once: each deed goes through all of them.
     *
     * @return list<Situation>
     */
    private static function situations(): array
    {
        return self::$situations ??= iterator_to_array(self::make(), false);
    }

    /** @return iterable<Situation> */
    private static function make(): iterable
    {
        $flags = [false, true];
        foreach ($flags as $running) {
            foreach (Door::cases() as $door) {
                foreach ([null, ...SeatState::cases()] as $seat) {
                    foreach (Pace::cases() as $pace) {
                        foreach (PromptState::cases() as $prompt) {
                            for ($bits = 0; $bits < 128; $bits++) {
                                yield new Situation(
                                    $running,
                                    $door,
                                    $seat,
                                    $pace,
                                    $prompt,
                                    (bool) ($bits & 1),
                                    (bool) ($bits & 2),
                                    (bool) ($bits & 4),
                                    (bool) ($bits & 8),
                                    (bool) ($bits & 16),
                                    (bool) ($bits & 32),
                                    (bool) ($bits & 64),
                                    (bool) ($bits & 64),
                                    (bool) ($bits & 32),
                                );
                            }
                        }
                    }
                }
            }
        }
    }
}
