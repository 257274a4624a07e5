<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use App\Models\Handout;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Show\ShowcaseItem;
use Crag\Plan\Handout as HandoutValue;
use Crag\Plan\PromptPages;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A student's canvas for a prompt, own or shared, made when it is needed, with what the others were handed out. */
final readonly class TakeCanvas
{
    public function __construct(private AppendForTeacher $putOn, private Together $together)
    {
    }

    public function __invoke(Seat $seat, Prompt $prompt): Canvas
    {
        $seat = $this->together->holder($seat, $prompt);
        $which = ['prompt_id' => $prompt->id, 'seat_id' => $seat->id];
        // Mostly it is there: looking first spares a whole class at once the wait for each other's writing.
        $canvas =
            Canvas::query()->where($which)->first() ??
            Canvas::query()->createOrFirst($which, ['live_session_id' => $seat->live_session_id]);
        $canvas->setRelation('seat', $seat)->setRelation('prompt', $prompt);
        if ($canvas->wasRecentlyCreated) {
            $this->lay($canvas, $prompt->pagesValue(), $prompt->handouts()->get());
        }

        return $canvas;
    }

    /**
     * The canvases of a whole class at once.
     *
     * @param  Collection<int, Seat>  $seats
     */
    public function all(Collection $seats, Prompt $prompt): void
    {
        $holders = $seats->map(fn (Seat $seat): Seat => $this->together->holder($seat, $prompt))->unique('id');
        $missing = $holders->whereNotIn('id', $prompt->canvases()->pluck('seat_id'));
        $now = now();
        $rows = $missing
            ->map(
                static fn (Seat $seat): array => [
                    'id' => strtolower((string) Str::ulid()),
                    'prompt_id' => $prompt->id,
                    'seat_id' => $seat->id,
                    'live_session_id' => $seat->live_session_id,
                    'created_at' => $now,
                    'updated_at' => $now,
                ],
            )
            ->values();
        Canvas::query()->insert($rows->all());
        $pages = $prompt->pagesValue();
        $handouts = $prompt->handouts()->get();
        if ($pages->isBlank() && $handouts->isEmpty() && $prompt->carries_prompt_id === null) {
            return;
        }
        $made = Canvas::query()->whereIn('id', $rows->pluck('id'))->get()->keyBy('seat_id');
        foreach ($missing as $seat) {
            $this->lay(
                ($made->get($seat->id) ?? abort(500))->setRelation('seat', $seat)->setRelation('prompt', $prompt),
                $pages,
                $handouts,
            );
        }
    }

    /**
     * What was prepared, and what the others were handed out.
     *
     * @param  Collection<int, Handout>  $handouts
     */
    private function lay(Canvas $canvas, PromptPages $pages, Collection $handouts): void
    {
        $isCarried = $canvas->seat !== null && CarriedWork::onto($canvas, $canvas->seat, $canvas->prompt);
        $all = array_values($handouts->all());
        $ids = $this->putOn->first(
            $canvas,
            $isCarried ? null : $pages,
            array_map(static fn (Handout $one): HandoutValue => $one->body, $all),
        );
        DB::table('handout_canvases')->insert(array_map(
            static fn (Handout $one, array $operations): array => [
                'handout_id' => $one->id,
                'canvas_id' => $canvas->id,
                'operations' => json_encode($operations, JSON_THROW_ON_ERROR),
            ],
            $all,
            $ids,
        ));
    }

    /** The teacher's own canvas for a prompt. */
    public function lead(Prompt $prompt): Canvas
    {
        $lead = Canvas::query()
            ->where('prompt_id', $prompt->id)
            ->whereNull('seat_id')
            ->whereNull('notes_on_id')
            ->whereNull('over_item_id');

        // Looked for once more inside the transaction: two teachers may open it at the same moment.
        return $lead->firstOr(
            fn () => DB::transaction(
                fn () => $lead->firstOr(
                    fn (): Canvas => tap(
                        Canvas::query()->create([
                            'prompt_id' => $prompt->id,
                            'live_session_id' => $prompt->live_session_id,
                        ]),
                        fn (Canvas $canvas) => $this->putOn->pages($canvas, $prompt->pagesValue()->withoutKey(), false),
                    ),
                ),
            ),
        );
    }

    /** A teacher's private notes over a student's canvas. */
    public function notes(Canvas $canvas): Canvas
    {
        return Canvas::query()->where('notes_on_id', $canvas->id)->first() ??
            Canvas::query()->createOrFirst(
                ['notes_on_id' => $canvas->id],
                ['prompt_id' => $canvas->prompt_id, 'live_session_id' => $canvas->live_session_id],
            );
    }

    /** What is drawn over a shown canvas before the class. */
    public function over(ShowcaseItem $item): Canvas
    {
        return $item->over ??
            Canvas::query()->createOrFirst(
                ['over_item_id' => $item->id],
                ['prompt_id' => $item->canvas->prompt_id, 'live_session_id' => $item->canvas->live_session_id],
            );
    }
}
