<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

use Crag\Session\Rules\Condition as C;

/** Who may do what, and when: the one table that every route asks. */
final class Rules
{
    private const STUDENT = [Role::Student];

    private const TEACHERS = [Role::Helper, Role::Colleague];

    private const RUNS_IT = [Role::Colleague];

    /**
     * @return array{list<Role>, list<Condition>} who may do it at all, and what must hold then; the first that does not
     *      is told
     */
    public static function of(Deed $deed): array
    {
        return match ($deed) {
            //  deed                     who              while
            Deed::Hear => [self::STUDENT, []],
            Deed::SeeShown => [self::STUDENT, [C::In]],
            Deed::KnockAgain => [self::STUDENT, [C::Running, C::OutButNotKept, C::DoorNotShut]],
            Deed::SeeOwnWork => [self::STUDENT, [C::In, C::PromptSeen]],
            Deed::Work => [self::STUDENT, [C::Running, C::In, C::PensUp, C::PromptOpen, C::Unsent]],
            Deed::BringIn => [self::STUDENT, [C::Running, C::In, C::PensUp, C::PromptOpen, C::Unsent]],
            Deed::TurnTo => [self::STUDENT, [C::Running, C::In, C::PensUp, C::OwnPace, C::PromptSeen]],
            Deed::SeeLead => [self::STUDENT, [C::Running, C::In, C::LeadShown]],
            Deed::Send => [self::STUDENT, [C::Running, C::In, C::PromptOpen, C::Unsent]],
            Deed::TalkThrough => [self::STUDENT, [C::Running, C::In, C::PromptSeen]],
            Deed::TakeBack => [self::STUDENT, [C::Running, C::In, C::PromptOpen, C::IsSent, C::NotRevealed]],
            Deed::PutHandUp => [self::STUDENT, [C::Running, C::In]],
            Deed::Write => [self::STUDENT, [C::Running, C::In, C::MessagesOn]],
            Deed::ChangeDevice => [self::STUDENT, [C::Running, C::In]],
            Deed::ChooseLight => [self::STUDENT, [C::Running, C::In]],
            Deed::Offer => [self::STUDENT, [C::Running, C::In, C::PromptSeen, C::OffersOn]],
            Deed::KeepBack => [self::STUDENT, [C::Running, C::In, C::KeepBackOn]],
            Deed::AnswerAsk => [self::STUDENT, [C::Running, C::In]],
            Deed::AnswerTalk => [self::STUDENT, [C::Running, C::In]],
            Deed::TakeHome => [self::STUDENT, []],

            Deed::Watch => [self::TEACHERS, []],
            Deed::SeeWork => [self::TEACHERS, [C::Uncovered]],
            Deed::Check => [self::TEACHERS, [C::Running, C::Uncovered]],
            Deed::Answer => [self::TEACHERS, [C::Running]],
            Deed::LetIn => [self::TEACHERS, [C::Running]],
            Deed::Rename => [self::TEACHERS, [C::Running]],
            Deed::HandOutToSome => [self::TEACHERS, [C::Running]],
            Deed::Coach => [self::TEACHERS, [C::Running, C::Uncovered]],
            Deed::KeepNotes => [self::TEACHERS, [C::Uncovered]],
            Deed::LineUp => [self::TEACHERS, [C::Running, C::Uncovered]],
            Deed::Pick => [self::TEACHERS, [C::Running]],
            Deed::TakeOn => [self::TEACHERS, [C::Running]],
            Deed::SpeakTo => [self::TEACHERS, [C::Running, C::Uncovered]],
            Deed::TalkLive => [self::TEACHERS, [C::Running]],

            Deed::HandOut => [self::RUNS_IT, [C::Running]],
            Deed::SendOut => [self::RUNS_IT, [C::Running]],
            Deed::SetDoor => [self::RUNS_IT, [C::Running]],
            Deed::ChangePrompts => [self::RUNS_IT, [C::Running]],
            Deed::SetPens => [self::RUNS_IT, [C::Running]],
            Deed::SetTimer => [self::RUNS_IT, [C::Running]],
            Deed::Ask => [self::RUNS_IT, [C::Running]],
            Deed::MakeGroups => [self::RUNS_IT, [C::Running]],
            Deed::Reveal => [self::RUNS_IT, [C::Running, C::IsCovered]],
            Deed::Cover => [self::RUNS_IT, [C::Running]],
            Deed::Lead => [self::RUNS_IT, [C::Running]],
            Deed::ChooseScreen => [self::RUNS_IT, [C::Running]],
            Deed::ChangeSettings => [self::RUNS_IT, [C::Running]],
            Deed::KeepOpen => [self::TEACHERS, [C::Running]],
            Deed::End => [self::RUNS_IT, [C::Running]],
            Deed::Reopen => [self::RUNS_IT, [C::JustOver]],
            Deed::TakeRecord => [self::TEACHERS, []],
            Deed::ChooseKeep => [self::RUNS_IT, []],
            Deed::GoOn => [self::RUNS_IT, []],
            Deed::ForgetStudent => [self::RUNS_IT, []],
            Deed::Forget => [self::RUNS_IT, [C::Over]],
        };
    }

    /** Null when it may be done. */
    public static function refusal(Deed $deed, Role $role, Situation $now): ?Refusal
    {
        [$who, $conditions] = self::of($deed);
        if (! in_array($role, $who, true)) {
            return Refusal::NotYours;
        }
        foreach ($conditions as $condition) {
            $refusal = $condition->refusal($now);
            if ($refusal !== null) {
                return $refusal;
            }
        }

        return null;
    }

    /**
     * What may be done now, to be told to a page: with each deed why it cannot be, or null.
     *
     * @return array<string, ?string> by the deed's value, a {@see Refusal}'s
     */
    public static function may(Role $role, Situation $now, Deed ...$deeds): array
    {
        $may = [];
        foreach ($deeds as $deed) {
            $may[$deed->value] = self::refusal($deed, $role, $now)?->value;
        }

        return $may;
    }

    /**
     * The same as far as the room decides it, alike for every student who is in: told to all of them at once.
     * Together with {@see mayOfSeat} it says all that {@see may} does.
     *
     * @return array<string, ?string>
     */
    public static function mayOfRoom(Situation $now, Deed ...$deeds): array
    {
        return self::mayWhere($now, static fn (Condition $one): bool => $one->isOfRoom(), ...$deeds);
    }

    /** @return array<string, ?string> the same as far as one seat decides it */
    public static function mayOfSeat(Situation $now, Deed ...$deeds): array
    {
        return self::mayWhere($now, static fn (Condition $one): bool => $one->isOfSeat(), ...$deeds);
    }

    /**
     * @param  callable(Condition): bool  $counts
     * @return array<string, ?string>
     */
    private static function mayWhere(Situation $now, callable $counts, Deed ...$deeds): array
    {
        $may = [];
        foreach ($deeds as $deed) {
            $may[$deed->value] = null;
            foreach (array_filter(self::of($deed)[1], $counts) as $condition) {
                $may[$deed->value] ??= $condition->refusal($now)?->value;
            }
        }

        return $may;
    }

    /** @throws RefusedDeed */
    public static function check(Deed $deed, Role $role, Situation $now): void
    {
        $refusal = self::refusal($deed, $role, $now);
        if ($refusal !== null) {
            throw RefusedDeed::because($refusal);
        }
    }
}
