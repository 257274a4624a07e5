<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Seat;
use Illuminate\Support\Facades\DB;

/** A seat's canvas for a prompt, made when it is first needed with what the others were handed out. */
final readonly class TakeCanvas
{
    public function __construct(private PutOn $putOn)
    {
    }

    public function __invoke(Seat $seat, Prompt $prompt): Canvas
    {
        $which = ['prompt_id' => $prompt->id, 'seat_id' => $seat->id];
        // Mostly it is there: looking first spares a whole class at once the wait for each other's writing.
        $canvas = Canvas::query()->where($which)->first() ?? Canvas::query()->createOrFirst($which, ['live_session_id' => $seat->live_session_id]);
        $canvas->setRelation('seat', $seat);
        if ($canvas->wasRecentlyCreated) {
            $this->putOn->pages($canvas, $prompt->pagesValue(), true);
            foreach ($prompt->handouts()->get() as $handout) {
                $ids = $this->putOn->handout($canvas, $handout->value());
                $handout->canvases()->attach($canvas->id, ['operations' => json_encode($ids, JSON_THROW_ON_ERROR)]);
            }
        }

        return $canvas;
    }

    /** The teacher's own canvas for a prompt. */
    public function lead(Prompt $prompt): Canvas
    {
        $lead = static fn (): ?Canvas => Canvas::query()->where('prompt_id', $prompt->id)->whereNull('seat_id')->whereNull('notes_on_id')->first();

        return $lead() ?? DB::transaction(fn (): Canvas => $lead() ?? tap(
            Canvas::query()->create(['prompt_id' => $prompt->id, 'seat_id' => null, 'live_session_id' => $prompt->live_session_id]),
            fn (Canvas $canvas) => $this->putOn->pages($canvas, $prompt->pagesValue(), false),
        ));
    }

    /** A teacher's private notes over a student's canvas. */
    public function notes(Canvas $canvas): Canvas
    {
        return Canvas::query()->where('notes_on_id', $canvas->id)->first()
            ?? Canvas::query()->createOrFirst(['notes_on_id' => $canvas->id], ['prompt_id' => $canvas->prompt_id, 'live_session_id' => $canvas->live_session_id]);
    }
}
