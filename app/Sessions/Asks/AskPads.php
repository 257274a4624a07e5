<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Canvas\TakeCanvas;
use App\Live\Clock;
use App\Models\Asks\Ask;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Canvas\Log\TrayInForce;
use Crag\Plan\PromptPages;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Session\Room\PromptState;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A quick ask that is answered by drawing. Its canvases are those of a prompt that belongs to the ask and stands in no
 * rail: watching, coaching, checking, showing, sending and keeping are the same as for all canvases.
 */
final readonly class AskPads
{
    public function __construct(private TakeCanvas $takeCanvas)
    {
    }

    public function __invoke(LiveSession $session, Ask $ask, PromptPages $pages): Prompt
    {
        $prompt = Prompt::query()->create([
            'live_session_id' => $session->id,
            'ask_id' => $ask->id,
            'n' => Prompt::ASKS + $ask->n,
            'words' => $ask->question->words,
            'backdrop' => $pages->pages[0]->backdrop,
            'pages' => $pages,
            'tray' => TrayInForce::always(
                ToolTray::of(
                    TrayKind::Custom,
                    [Tool::Pen, Tool::Eraser, Tool::Text, Tool::Maths, Tool::Picture],
                    pages: false,
                ),
            ),
            'state' => PromptState::Open,
            'state_at_ms' => Clock::ms(),
            // Drawings are asked for to be seen while they grow.
            'revealed_at_ms' => Clock::ms(),
            'closes_at_ms' => $ask->ends_at_ms,
        ]);
        $prompt->setRelation('session', $session);
        $this->takeCanvas->all(
            $session->seated()->get()->filter(static fn (Seat $seat): bool => $ask->isFor($seat))->values(),
            $prompt,
        );

        return $prompt;
    }

    /** @param  HasMany<Prompt, LiveSession>|HasOne<Prompt, Ask>  $prompts  on which no more is drawn */
    public function close(HasMany|HasOne $prompts): void
    {
        $prompts->update(['state' => PromptState::Closed, 'state_at_ms' => Clock::ms()]);
    }

    /** @return array{canvas: ?string, isSent: bool} */
    public static function told(Prompt $prompt, Seat $seat): array
    {
        $canvas = $seat->canvases()->where('prompt_id', $prompt->id)->first(['id', 'sent_at_ms']);

        return ['canvas' => $canvas?->id, 'isSent' => $canvas?->sent_at_ms !== null];
    }
}
