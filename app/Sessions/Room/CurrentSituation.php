<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Session\Room\Pens;
use Crag\Session\Room\PromptState;
use Crag\Session\Rules\Situation;

/** How a session stands at this moment, as the rules ask for it. */
final class CurrentSituation
{
    public static function of(LiveSession $session, ?Seat $seat = null, ?Prompt $prompt = null): Situation
    {
        $settings = $session->settings;
        $isCovered =
            $prompt !== null && $settings->covers($session->isRunning(), $prompt->revealed_at_ms !== null);

        return new Situation(
            isRunning: $session->isRunning(),
            door: $session->door,
            seat: $seat?->state,
            pace: $session->pace,
            prompt: $prompt->state ?? PromptState::Open,
            isPensDown: self::pens($session, $seat)->isDown(),
            isCovered: $isCovered,
            isRevealed: $prompt?->revealed_at_ms !== null && $settings->cover,
            isSent: $seat !== null && $prompt !== null && self::sentAt($seat, $prompt) !== null,
            hasMessages: $settings->messages,
            isLeadShown: $session->lead->isShown() || $session->lead->hasInk(),
            hasOffers: $settings->offers,
            hasKeepBack: $settings->keepBack,
            isJustOver: $session->isJustOver(),
        );
    }

    /** What one seat adds to what holds for the whole room. */
    public static function ofSeat(Seat $seat, ?Canvas $canvas): Situation
    {
        return new Situation(
            seat: $seat->state,
            isPensDown: $seat->pens->isDown(),
            isSent: $canvas?->sent_at_ms !== null,
        );
    }

    /** For everybody, for one student, or because the time is up. */
    public static function pens(LiveSession $session, ?Seat $seat): Pens
    {
        return Pens::inForce(
            $session->pens,
            $seat === null ? Pens::up() : $seat->pens,
            $session->timer?->pens(Clock::ms(), __('Time is up.')) ?? Pens::up(),
        );
    }

    private static function sentAt(Seat $seat, Prompt $prompt): ?int
    {
        $at = Canvas::query()->where('seat_id', $seat->id)->where('prompt_id', $prompt->id)->value('sent_at_ms');

        return is_numeric($at) ? (int) $at : null;
    }
}
