<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Act;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Checks\Feedback;
use Crag\Session\Room\ActKind;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Crag\Session\Screen\ScreenView;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/** Which prompts there are, which are open, and where everybody is. */
final readonly class ChangePrompts
{
    public function __construct(
        private TakeCanvas $takeCanvas,
        private Announce $announce,
        private RoomState $room,
        private SendAhead $sendAhead,
    ) {
    }

    /** @return ?Act where everybody was brought together */
    public function pace(LiveSession $session, Pace $pace): ?Act
    {
        return DB::transaction(function () use ($session, $pace): ?Act {
            $was = $session->pace;
            $session->update(['pace' => $pace]);
            if ($pace === Pace::Own) {
                $this->room->tell($session);

                return null;
            }

            $act = $this->gather($session, $session->prompt()->firstOrFail());
            $act->update(['before' => ['pace' => $was->value] + $act->before]);

            return $act;
        });
    }

    /**
     * Brings everybody to a prompt, back from wherever they went, and to one of its pages. Their work stays where it
     * is; so does what the class screen shows, unless that is a prompt or how to join.
     *
     * @param  ?int  $page  the number of its page, from 0; null leaves each on the page that is open
     */
    public function gather(LiveSession $session, Prompt $prompt, ?int $page = null): Act
    {
        return DB::transaction(function () use ($session, $prompt, $page): Act {
            $before = [
                'prompt' => (string) $session->prompt_id,
                'state' => $prompt->state->value,
                'screen' => $session->screen_view->value,
                'seats' => self::elsewhere($session->seats()),
            ];
            if (! $prompt->state->isSeen()) {
                $prompt->update(['state' => PromptState::Open, 'state_at_ms' => Clock::ms()]);
            }
            Seat::query()
                ->where('live_session_id', $session->id)
                ->whereNotNull('prompt_id')
                ->update(['prompt_id' => null]);
            $this->takeCanvas->all($session->seated()->get(), $prompt);
            $session->prompt()->associate($prompt);
            $session->screen_view = $session->screen_view->whenGathered();
            $session->save();
            DB::afterCommit(fn () => ($this->sendAhead)($session, $prompt));
            ($this->announce)(
                $session,
                Audience::room($session),
                'prompt',
                [
                    'prompt' => $prompt->announcement(),
                    'room' => RoomState::shared($session),
                ] + ($page === null ? [] : ['page' => $page]),
            );
            $this->tellChecks($session);

            return Act::note(
                $session,
                ActKind::Gather,
                $prompt,
                ['screen_stays' => $session->screen_view->staysWhenGathered()],
                $before,
            );
        });
    }

    /** As it was before everybody was brought together: the prompt, those who were elsewhere, and the class screen. */
    public function back(Act $act): void
    {
        DB::transaction(function () use ($act): void {
            $session = $act->session;
            $from = $session->prompts()->findOrFail($act->prompt_id);
            /**
             * @var array{
             *     pace?: string, prompt: string, state: string, screen: string, seats: array<string, string>,
             * } $before
             */
            $before = $act->before;
            $prompts = $session->prompts()->get()->keyBy('id');
            $session->prompt()->associate($prompts->get($before['prompt']) ?? $from);
            $session->screen_view = ScreenView::from($before['screen']);
            $session->pace = isset($before['pace']) ? Pace::from($before['pace']) : $session->pace;
            $session->save();
            if ($from->id !== $session->prompt_id) {
                $from->update(['state' => PromptState::from($before['state']), 'state_at_ms' => Clock::ms()]);
            }
            foreach ($session->seated()->get() as $seat) {
                $to = $before['seats'][$seat->id] ?? null;
                $seat->update(['prompt_id' => $to !== null && $prompts->has($to) ? $to : null]);
            }
            $prompt = $session->prompt()->firstOrFail();
            DB::afterCommit(fn () => ($this->sendAhead)($session, $prompt));
            ($this->announce)($session, Audience::room($session), 'prompt', [
                'prompt' => $prompt->announcement(),
                'room' => RoomState::shared($session),
                'back' => true,
            ]);
            ($this->announce)($session, Audience::screen($session), 'screen', ['view' => $session->screen_view->value]);
            $session
                ->seated()
                ->get()
                ->each(fn (Seat $seat) => $this->room->tellOwn($seat->setRelation('session', $session)));
        });
    }

    /**
     * Opens it, closes it for further work, skips it, or hides it again.
     *
     * @return ?Act null where it is so already
     */
    public function set(LiveSession $session, Prompt $prompt, PromptState $state): ?Act
    {
        return DB::transaction(function () use ($session, $prompt, $state): ?Act {
            if ($prompt->state === $state) {
                return null;
            }
            $there = $session->seats();
            $there->where('prompt_id', $prompt->id);
            $act = Act::note(
                $session,
                ActKind::PromptState,
                $prompt,
                ['state' => $state->value],
                ['state' => $prompt->state->value, 'seats' => $state->isSeen() ? [] : self::elsewhere($there)],
            );
            $this->put($session, $prompt, $state);

            return $act;
        });
    }

    /** The prompt as it was, and those who had turned to it back on it. */
    public function stateBack(Act $act): void
    {
        DB::transaction(function () use ($act): void {
            /** @var array{state: string, seats: array<string, string>} $before */
            $before = $act->before;
            $session = $act->session;
            $prompt = $session->prompts()->findOrFail($act->prompt_id);
            $state = PromptState::from($before['state']);
            // The class may have been brought to it meanwhile: then it stays where it can be seen.
            if ($state->isSeen() || $prompt->id !== $session->prompt_id) {
                $this->put($session, $prompt, $state);
            }
            foreach ($session->seated()->whereIn('id', array_keys($before['seats']))->get() as $seat) {
                $seat->update(['prompt_id' => $prompt->id]);
                $this->room->tellOwn($seat->setRelation('session', $session));
            }
        });
    }

    private function put(LiveSession $session, Prompt $prompt, PromptState $state): void
    {
        $prompt->update(['state' => $state, 'state_at_ms' => Clock::ms()]);
        if (! $state->isSeen()) {
            Seat::query()
                ->where('prompt_id', $prompt->id)
                ->update(['prompt_id' => null]);
        }
        $this->room->tell($session);
        $this->tellChecks($session);
    }

    /**
     * @param  HasMany<Seat, LiveSession>  $seats
     * @return array<string, string> by seat, the prompt of each that is not where the class is
     */
    private static function elsewhere(HasMany $seats): array
    {
        return $seats->whereNotNull('prompt_id')->pluck('prompt_id', 'id')->map(strval(...))->all();
    }

    /** A prompt that is over may open what students see of their checks. */
    private function tellChecks(LiveSession $session): void
    {
        if (
            $session->settings->feedback->when === Feedback::WITH_PROMPT &&
            ! $session->settings->feedback->isNothing()
        ) {
            $session
                ->seated()
                ->get()
                ->each(fn (Seat $seat) => $this->room->tellStudent($seat->setRelation('session', $session)));
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
                Prompt::query()
                    ->whereKey($id)
                    ->update(['n' => $i + 1]);
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
