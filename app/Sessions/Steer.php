<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Checks\Feedback;
use Crag\Session\Pace;
use Crag\Session\PromptState;
use Crag\Session\ScreenView;
use Illuminate\Support\Facades\DB;

/** Which prompts there are, which are open, and where everybody is. */
final readonly class Steer
{
    public function __construct(private TakeCanvas $takeCanvas, private Announce $announce, private RoomState $room, private SendAhead $sendAhead)
    {
    }

    public function pace(LiveSession $session, Pace $pace): void
    {
        DB::transaction(function () use ($session, $pace): void {
            $session->update(['pace' => $pace]);
            $pace === Pace::Together ? $this->gather($session, $session->prompt()->firstOrFail()) : $this->room->tell($session);
        });
    }

    /**
     * Brings everybody to a prompt, back from wherever they went. Their work stays where it is.
     *
     * @param  ?int  $page  the number of its page, from 0; null where each was last
     */
    public function gather(LiveSession $session, Prompt $prompt, ?int $page = null): void
    {
        DB::transaction(function () use ($session, $prompt, $page): void {
            if (! $prompt->state->isSeen()) {
                $prompt->update(['state' => PromptState::Open, 'state_at_ms' => Clock::ms()]);
            }
            Seat::query()->where('live_session_id', $session->id)->whereNotNull('prompt_id')->update(['prompt_id' => null]);
            $this->takeCanvas->all($session->seated()->get(), $prompt);
            $session->prompt()->associate($prompt);
            if ($session->screen_view !== ScreenView::Nothing) {
                $session->screen_view = ScreenView::Prompt;
            }
            $session->save();
            DB::afterCommit(fn () => ($this->sendAhead)($session, $prompt));
            ($this->announce)($session, Audience::room($session), 'prompt', [
                'prompt' => $prompt->announcement(), 'room' => RoomState::shared($session),
            ] + ($page === null ? [] : ['page' => $page]));
            $this->tellChecks($session);
        });
    }

    /** Opens it, closes it for further work, skips it, or hides it again. */
    public function set(LiveSession $session, Prompt $prompt, PromptState $state): void
    {
        DB::transaction(function () use ($session, $prompt, $state): void {
            $prompt->update(['state' => $state, 'state_at_ms' => Clock::ms()]);
            if (! $state->isSeen()) {
                Seat::query()->where('prompt_id', $prompt->id)->update(['prompt_id' => null]);
            }
            $this->room->tell($session);
            $this->tellChecks($session);
        });
    }

    /** A prompt that is over may open what students see of their checks. */
    private function tellChecks(LiveSession $session): void
    {
        if ($session->settingsValue()->feedback->when === Feedback::WITH_PROMPT && ! $session->settingsValue()->feedback->isNothing()) {
            $session->seated()->get()->each(fn (Seat $seat) => $this->room->tellStudent($seat->setRelation('session', $session)));
        }
    }

    /** One place earlier or later among the session's prompts. */
    public function move(LiveSession $session, Prompt $prompt, int $by): void
    {
        DB::transaction(function () use ($session, $prompt, $by): void {
            $ids = $session->prompts()->pluck('id')->all();
            $at = (int) array_search($prompt->id, $ids, true);
            $to = max(0, min(count($ids) - 1, $at + $by));
            array_splice($ids, $to, 0, array_splice($ids, $at, 1));
            // Numbers are unique: all of them step aside first.
            $session->prompts()->reorder()->increment('n', 10_000);
            foreach ($ids as $i => $id) {
                Prompt::query()->whereKey($id)->update(['n' => $i + 1]);
            }
            $this->room->tell($session);
        });
    }

    /** At the own pace, one student turns to a prompt. */
    public function turn(Seat $seat, Prompt $prompt): void
    {
        DB::transaction(function () use ($seat, $prompt): void {
            $seat->update(['prompt_id' => $prompt->id === $seat->session->prompt_id ? null : $prompt->id]);
            ($this->takeCanvas)($seat, $prompt);
            $this->room->tellOwn($seat);
        });
    }
}
