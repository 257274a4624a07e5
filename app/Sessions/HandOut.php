<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Plans\KeepInPlan;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Session\ScreenView;
use Illuminate\Support\Facades\DB;

/** Gives every canvas a prompt's words and its backdrop, under the ink. No ink is touched. */
final readonly class HandOut
{
    public function __construct(private TakeCanvas $takeCanvas, private Announce $announce, private KeepInPlan $keep)
    {
    }

    /** Under the work on the present prompt. */
    public function underPresentWork(LiveSession $session, PromptValue $value): void
    {
        DB::transaction(function () use ($session, $value): void {
            $prompt = $session->prompt()->firstOrFail();
            $before = $prompt->words;
            $changes = $prompt->backdrop !== $value->backdrop->toArray();
            $prompt->update(['words' => $value->words, 'backdrop' => $value->backdrop->toArray()]);
            if ($changes) {
                foreach ($prompt->canvases()->get() as $canvas) {
                    $this->takeCanvas->putUnder($canvas, $value->backdrop);
                }
            }
            ($this->keep)($session, $prompt, $before);
            $this->goTo($session, $prompt);
        });
    }

    /** As the next prompt, on a canvas of its own; the work so far stays where it is. */
    public function asNext(LiveSession $session, PromptValue $value): void
    {
        DB::transaction(function () use ($session, $value): void {
            $prompt = Prompt::query()->create([
                'live_session_id' => $session->id,
                'n' => (int) $session->prompts()->max('n') + 1,
                'words' => $value->words,
                'backdrop' => $value->backdrop->toArray(),
            ]);
            ($this->keep)($session, $prompt, '');
            $this->goTo($session, $prompt);
        });
    }

    /** Brings everybody to a prompt. */
    public function goTo(LiveSession $session, Prompt $prompt): void
    {
        DB::transaction(function () use ($session, $prompt): void {
            foreach ($session->seats()->get() as $seat) {
                ($this->takeCanvas)($seat, $prompt);
            }
            $session->prompt()->associate($prompt);
            if ($session->screen_view !== ScreenView::Nothing) {
                $session->screen_view = ScreenView::Prompt;
            }
            $session->save();
            ($this->announce)($session, Audience::room($session), 'prompt', ['prompt' => $prompt->announcement()]);
        });
    }
}
