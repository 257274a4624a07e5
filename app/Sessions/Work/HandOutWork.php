<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Canvas\AppendForTeacher;
use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Act;
use App\Models\Canvas;
use App\Models\Handout;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Plans\KeepInPlan;
use App\Sessions\Room\ChangePrompts;
use App\Sessions\Room\RoomState;
use Crag\Json\Fields;
use Crag\Plan\Handout as HandoutValue;
use Crag\Plan\HandoutMode;
use Crag\Plan\PromptPage;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Session\Room\ActKind;
use Illuminate\Support\Facades\DB;

/** Gives work out, says which pages have it, and takes it back. No ink is lost by any of it. */
final readonly class HandOutWork
{
    public function __construct(
        private TakeCanvas $takeCanvas,
        private AppendForTeacher $putOn,
        private Announce $announce,
        private KeepInPlan $keep,
        private ChangePrompts $steer,
    ) {
    }

    /**
     * @param  string  $label  what it is, in words
     * @param  ?list<Seat>  $seats  null for everybody, late-comers too
     */
    public function give(
        LiveSession $session,
        Prompt $prompt,
        HandoutValue $value,
        string $label,
        ?array $seats,
    ): Handout {
        return DB::transaction(function () use ($session, $prompt, $value, $label, $seats): Handout {
            $canvases = array_map(
                fn (Seat $seat): Canvas => ($this->takeCanvas)($seat, $prompt),
                $seats ?? $session->seated()->get()->all(),
            );
            // What a group draws on together it is given once.
            $canvases = array_values(array_column($canvases, null, 'id'));
            $handout = $this->note($session, $prompt, $value, $label, $seats === null);
            // A fresh start is one from the beginning: what everybody was given as pieces lies there again.
            $pieces =
                $value->mode === HandoutMode::Fresh
                    ? $prompt->handouts()->where('mode', HandoutMode::Pieces)->where('id', '<', $handout->id)->get()
                    : [];
            foreach ($canvases as $canvas) {
                $operations = $this->putOn->handout($canvas, $value);
                foreach ($pieces as $piece) {
                    array_push($operations, ...$this->putOn->handout($canvas, $piece->body));
                }
                $this->put($handout, $canvas, $operations);
            }
            if ($seats === null) {
                self::noteAct($handout, $session, $prompt, count($canvases));
            }

            return $handout;
        });
    }

    private static function noteAct(Handout $handout, LiveSession $session, Prompt $prompt, int $n): void
    {
        Act::note(
            $session,
            ActKind::HandOut,
            $prompt,
            ['label' => $handout->label, 'fresh' => $handout->mode === HandoutMode::Fresh, 'n' => $n],
            [],
            $handout,
        );
    }

    /** New words and another backdrop for the present prompt, under everybody's work. */
    public function underPresentWork(LiveSession $session, PromptValue $value): ?Handout
    {
        return DB::transaction(function () use ($session, $value): ?Handout {
            $prompt = $session->prompt()->firstOrFail();
            $before = ['words' => $prompt->words, 'backdrop' => $prompt->backdrop->toArray()];
            $changes = $before['backdrop'] !== $value->backdrop->toArray();
            $prompt->update(['words' => $value->words, 'backdrop' => $value->backdrop]);
            $handout = null;
            if ($changes) {
                // Those who come later have it from the prompt itself.
                $handout = $this->note(
                    $session,
                    $prompt,
                    HandoutValue::of(HandoutMode::Backdrop, [new PromptPage($value->backdrop)]),
                    __('Words and backdrop'),
                    false,
                    $before,
                );
                $canvases = $prompt->canvases()->with('seat.session')->get();
                foreach ($canvases as $canvas) {
                    $this->put($handout, $canvas, [$this->putOn->backdrop($canvas, $value->backdrop)]);
                }
                self::noteAct($handout, $session, $prompt, $canvases->count());
            }
            ($this->keep)($session, $prompt, $before['words']);
            $this->steer->gather($session, $prompt);

            return $handout;
        });
    }

    /** As the next prompt, on a canvas of its own; the work so far stays where it is. */
    public function asNext(LiveSession $session, PromptValue $value): Act
    {
        return DB::transaction(fn (): Act => $this->steer->gather($session, $this->add($session, $value)));
    }

    /** One prompt more, unseen until it is opened. */
    public function add(LiveSession $session, PromptValue $value): Prompt
    {
        return DB::transaction(function () use ($session, $value): Prompt {
            $prompt = Prompt::query()->create([
                'live_session_id' => $session->id,
                'n' => (int) $session->prompts()->max('n') + 1,
                'words' => $value->words,
                'backdrop' => $value->backdrop,
            ]);
            ($this->keep)($session, $prompt, '');

            return $prompt;
        });
    }

    /** @param  ?Seat  $seat  from one student alone; null: from all */
    public function undo(Handout $handout, ?Seat $seat = null): void
    {
        DB::transaction(function () use ($handout, $seat): void {
            foreach ($handout->canvases()->with('seat.session')->get() as $canvas) {
                if ($seat === null || $canvas->seat_id === $seat->id) {
                    $this->putOn->withdraw(
                        $canvas,
                        (array) json_decode($canvas->getRelation('pivot')->operations, true),
                    );
                    DB::table('handout_canvases')
                        ->where('handout_id', $handout->id)
                        ->where('canvas_id', $canvas->id)
                        ->delete();
                }
            }
            if ($seat === null || ! $handout->canvases()->exists()) {
                $handout->update(['undone_at_ms' => Clock::ms()]);
                $this->restore($handout);
            }
            $this->tellDesk($handout);
        });
    }

    /** Once more to one page, which is told to look. */
    public function again(Handout $handout, Seat $seat): void
    {
        ($this->announce)($seat->session, Audience::seat($seat), 'handout', [
            'handout' => $handout->id,
            'prompt' => $handout->prompt_id,
            'again' => true,
        ]);
    }

    /** A student's page has it. @param  ?string  $id  null: everything that lies on the canvas */
    public function got(Canvas $canvas, ?string $id = null): void
    {
        $waiting = DB::table('handout_canvases')->where('canvas_id', $canvas->id)->whereNull('got_at_ms');
        if ($id !== null) {
            $waiting->where('handout_id', $id);
        }
        $ids = $waiting->pluck('handout_id')->all();
        if ($ids !== []) {
            DB::table('handout_canvases')
                ->where('canvas_id', $canvas->id)
                ->whereIn('handout_id', $ids)
                ->update(['got_at_ms' => Clock::ms()]);
            $session = $canvas->seat?->session;
            if ($session !== null) {
                ($this->announce)($session, Audience::desk($session), 'got', [
                    'seat' => $canvas->seat_id,
                    'handouts' => $ids,
                ]);
            }
        }
    }

    /** @param  ?array{words: string, backdrop: array<string, mixed>}  $before */
    private function note(
        LiveSession $session,
        Prompt $prompt,
        HandoutValue $value,
        string $label,
        bool $forAll,
        ?array $before = null,
    ): Handout {
        return Handout::query()->create([
            'live_session_id' => $session->id,
            'prompt_id' => $prompt->id,
            'label' => mb_substr($label, 0, 200),
            'mode' => $value->mode,
            'for_all' => $forAll,
            'body' => $value,
            'before' => $before,
            'made_at_ms' => Clock::ms(),
        ]);
    }

    /** @param  list<string>  $operations */
    private function put(Handout $handout, Canvas $canvas, array $operations): void
    {
        $handout->canvases()->attach($canvas->id, ['operations' => json_encode($operations, JSON_THROW_ON_ERROR)]);
        foreach ($canvas->seat?->people() ?? [] as $seat) {
            ($this->announce)($handout->prompt->session, Audience::seat($seat), 'handout', [
                'handout' => $handout->id,
                'prompt' => $handout->prompt_id,
                'last' => $operations[count($operations) - 1] ?? '',
            ]);
        }
    }

    /** The prompt has its words and backdrop from before again, if nobody changed them since. */
    private function restore(Handout $handout): void
    {
        $before = $handout->before;
        if ($before !== null) {
            $backdrop = $handout->body->pages[0]->backdrop;
            $prompt = $handout->prompt;
            if ($prompt->backdrop->toArray() === $backdrop->toArray()) {
                $prompt->update(['words' => $before['words'], 'backdrop' => Backdrop::read(new Fields($before['backdrop'], true))]);
                $session = $prompt->session;
                ($this->announce)($session, Audience::room($session), 'prompt', [
                    'prompt' => ['again' => true] + $session->prompt()->firstOrFail()->announcement(),
                    'room' => RoomState::shared($session),
                ]);
            }
        }
    }

    private function tellDesk(Handout $handout): void
    {
        $session = LiveSession::query()->findOrFail($handout->live_session_id);
        ($this->announce)($session, Audience::desk($session), 'got', ['handouts' => [$handout->id]]);
    }
}
