<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\Together;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Message;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Show\ShowcaseItem;
use App\Models\TalkThrough;
use App\Sessions\Asks\Asking;
use App\Sessions\Asks\RunAsks;
use App\Sessions\Checks\FeedbackForStudent;
use Crag\Session\Door\NameMode;
use Crag\Session\Room\PromptState;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Rules;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/**
 * What pages must know of the room, always whole: a page that hears it, that comes late or that was reloaded has the
 * same from one answer, and puts itself right by it.
 */
final readonly class RoomState
{
    public const MOST_MESSAGES = 30;

    public function __construct(private Announce $announce)
    {
    }

    /** Tells everybody in the room. */
    public function tell(LiveSession $session): void
    {
        self::inOne(
            fn () => ($this->announce)($session, Audience::room($session), 'room', ['room' => self::shared($session)]),
        );
    }

    /** Tells one student's page alone. */
    public function tellStudent(Seat $seat): void
    {
        self::inOne(fn () => $this->announceOwn(self::now($seat)));
    }

    /** Tells one student's page, and the desks that something about this seat has changed. */
    public function tellOwn(Seat $seat): void
    {
        self::inOne(function () use ($seat): void {
            $now = self::now($seat);
            $this->announceOwn($now);
            $this->announceSeat($now);
        });
    }

    /** Tells the desks alone. */
    public function tellDesk(Seat $seat): void
    {
        self::inOne(fn () => $this->announceSeat(self::now($seat)));
    }

    private function announceOwn(Seat $now): void
    {
        ($this->announce)($now->session, Audience::seat($now), 'own', ['own' => self::own($now)]);
    }

    private function announceSeat(Seat $now): void
    {
        ($this->announce)($now->session, Audience::desk($now->session), 'seat', self::ofSeat($now));
    }

    /** In the transaction that is under way, or in one of its own. */
    private static function inOne(callable $tell): void
    {
        DB::transactionLevel() > 0 ? $tell() : DB::transaction(static fn () => $tell());
    }

    /**
     * What a request read at its beginning, another one may have changed since: told is what holds now. It is read in
     * the transaction that numbers what is told, so that of two that tell the later one knows more.
     */
    public static function now(Seat $seat): Seat
    {
        return Seat::query()->with('session')->find($seat->id) ?? $seat;
    }

    /** @return array<string, mixed> a seat as the desks know it */
    public static function ofSeat(Seat $seat): array
    {
        $prompt = $seat->isIn() ? $seat->session->prompt : null;
        $canvas = $prompt === null ? null : Together::canvas($seat, $prompt);

        return [
            'seat' => $seat->announcement(),
            'state' => $seat->state->value,
            'prompt' => $seat->session->prompt_id,
            'canvas' => $canvas?->id,
            // Where several draw on it, their group has a tile, and they have none.
            'isShared' => $canvas !== null && $canvas->seat_id !== $seat->id,
            'operations' => $canvas->operation_count ?? 0,
        ];
    }

    /** @return array<string, mixed> the same for every page */
    public static function shared(LiveSession $session): array
    {
        // What a request read at its beginning, another one may have changed since: told is what holds now.
        $session = $session->fresh() ?? $session;
        $settings = $session->settings;
        $lead = $session->lead;
        $seen = $session
            ->prompts()
            ->whereIn('state', [PromptState::Open, PromptState::Closed])
            ->get(['id', 'n', 'state', 'live_session_id', 'revealed_at_ms']);

        return [
            'pens' => $session->pens->toArray(),
            'timer' => $session->timer?->toArray(),
            'pace' => $session->pace->value,
            'here' => $session->prompt_id,
            'prompts' => $seen
                ->map(
                    static fn (Prompt $prompt): array => [
                        'id' => $prompt->id,
                        'n' => $prompt->n,
                        'state' => $prompt->state->value,
                        'may' => Rules::mayOfRoom(
                            CurrentSituation::of($session, null, $prompt),
                            ...Deed::ofStudentsPage(),
                        ),
                    ],
                )
                ->all(),
            'lead' => [
                'shown' => $lead->isShown() ? [$lead->canvas, $lead->page] : null,
                'ink' => $lead->inkCanvas,
                'from' => $lead->inkFrom,
            ],
            'showcase' => self::showcase($session),
            'openUntil' => $session->openUntil(),
            'sound' => $settings->sound,
            'recording' => $session->mayRecord(),
            'camera' => $session->mayFilm(),
            'light' => $settings->light,
        ];
    }

    /**
     * @return array{id: string, items: list<array<string, mixed>>}|null work that is shown on the students' own pages:
     *      {@see ShowcaseItem::told}
     */
    private static function showcase(LiveSession $session): ?array
    {
        $isThere =
            $session->screen_view === ScreenView::Showcase &&
            $session->shown_on->isOnPages() &&
            $session->showcase_id !== null;

        return ! $isThere
            ? null
            : [
                'id' => (string) $session->showcase_id,
                'items' => array_values(
                    ShowcaseItem::query()
                        ->where('showcase_id', $session->showcase_id)
                        ->with('canvas.seat', 'over')
                        ->orderBy('n')
                        ->get()
                        ->map(static fn (ShowcaseItem $item): array => $item->told($session))
                        ->all(),
                ),
            ];
    }

    /** @return array<string, mixed> of one seat */
    public static function own(Seat $seat): array
    {
        $session = $seat->session;
        $prompt = $seat->isIn() ? $seat->presentPrompt() : null;
        $canvas = $prompt === null ? null : Together::canvas($seat, $prompt);

        return [
            'state' => $seat->state->value,
            'name' => $seat->name,
            'seat' => $seat->seatName(),
            'isSeenAsSeat' => $session->settings->shownNames === NameMode::Seats,
            'pens' => $seat->pens->toArray(),
            'may' => Rules::mayOfSeat(CurrentSituation::ofSeat($seat, $canvas), ...Deed::ofStudentsPage()),
            'prompt' => $prompt?->id,
            'together' => $prompt === null ? null : Together::told($seat, $prompt),
            'isCovered' => $prompt?->isCovered() ?? false,
            'isSent' => $canvas?->sent_at_ms !== null,
            'hand' => $seat->hand_at_ms !== null,
            'hadHandUp' => $seat->had_hand_up,
            'isComing' => $seat->hand_at_ms !== null && $seat->coming_at_ms !== null,
            'light' => $seat->light,
            'isShown' => $session->screen_view === ScreenView::Showcase &&
                $session->showcase_id !== null &&
                ShowcaseItem::query()
                    ->where('showcase_id', $session->showcase_id)
                    ->whereIn('canvas_id', $seat->worksOn()->select('id'))
                    ->exists(),
            'shownName' => $session->settings->shownNames === NameMode::Names,
            'keepsBack' => $seat->keeps_back,
            'checks' => $seat->isIn() ? FeedbackForStudent::by($seat) : [],
            'run' => $seat->isIn() ? RunAsks::of($seat) : null,
            'ask' => $seat->isIn() ? Asking::toStudent($seat) : null,
            'liveTalk' => config()->boolean('crag.live_talk') && $seat->isIn() ? LiveTalk::toStudent($seat) : null,
            'voices' => config()->boolean('crag.recording') && $seat->isIn() ? self::voices($seat) : [],
            'messages' => ($seat->relationLoaded('messages') ? $seat->messages : $seat->messages()->get())
                ->slice(-self::MOST_MESSAGES)
                ->values()
                ->map(static fn (Message $one): array => $one->toStudent())
                ->all(),
        ];
    }

    /**
     * What teachers said about this student's canvases, the oldest first.
     *
     * @return list<array{id: string, canvas: string, from: string, length: string, words: string}>
     */
    private static function voices(Seat $seat): array
    {
        return array_values(
            TalkThrough::query()
                ->where('live_session_id', $seat->live_session_id)
                ->whereNull('seat_id')
                ->whereIn('canvas_id', $seat->worksOn()->select('id'))
                ->orderBy('id')
                ->get()
                ->map(static fn (TalkThrough $talk): array => [
                    'id' => $talk->id,
                    'canvas' => $talk->canvas_id,
                    'from' => $talk->speaker,
                    'length' => $talk->length(),
                    'words' => $talk->captions()->text(),
                ])
                ->all(),
        );
    }
}
