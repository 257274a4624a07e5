<?php

declare(strict_types=1);

namespace App\Plans;

use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Plan;
use App\Models\Prompt;
use App\Sessions\RoomState;
use App\Sessions\StartSession;
use Illuminate\Support\Facades\DB;

/**
 * Brings what has changed in a plan into a running session. Words, questions and tools change for everybody; what is
 * drawn changes on canvases that nobody has begun, and stays as it was under work that is there. Prompts that are new
 * in the plan come at the end; none is taken away.
 */
final readonly class FollowPlan
{
    public function __construct(private MakePlan $plans, private TakeCanvas $takeCanvas, private Announce $announce)
    {
    }

    /** @return int how many prompts changed or are new */
    public function __invoke(LiveSession $session, Plan $plan): int
    {
        return DB::transaction(function () use ($session, $plan): int {
            $changed = 0;
            $present = $plan->present();
            $n = (int) $session->prompts()->max('n');
            $copies = $session->prompts()->get()->keyBy('source_id');
            foreach ($this->plans->prepared($plan) as $i => $prepared) {
                $source = $present[$i] ?? null;
                $copy = $copies->get((string) $source?->id);
                if ($copy !== null && ! $this->hasChanged($copy, $prepared)) {
                    continue;
                }
                $prepared = MakePlan::withPictures($prepared, $plan, $session);
                $copy === null ? StartSession::put($session, $prepared, ++$n, $source?->id) : $this->change($copy, $prepared);
                $changed++;
            }
            if ($changed > 0) {
                $prompt = $session->prompt()->firstOrFail();
                ($this->announce)($session, Audience::room($session), 'prompt', ['prompt' => ['again' => true] + $prompt->announcement(), 'room' => RoomState::shared($session)]);
            }

            return $changed;
        });
    }

    private function hasChanged(Prompt $copy, PreparedPrompt $prepared): bool
    {
        return self::bare($copy->value()->toArray()) !== self::bare($prepared->prompt->toArray())
            || self::bare($copy->pages ?? []) !== self::bare($prepared->pages->toArray());
    }

    private function change(Prompt $copy, PreparedPrompt $prepared): void
    {
        $before = self::bare($copy->pages ?? []);
        $copy->update(StartSession::columns($prepared));
        if ($before === self::bare($prepared->pages->toArray())) {
            return;
        }
        foreach ($copy->canvases()->with('seat')->whereNull('last_stroke_ms')->get() as $canvas) {
            $canvas->delete();
            $canvas->seat === null || ($this->takeCanvas)($canvas->seat, $copy);
        }
    }

    /**
     * Pictures have other ids in the session: drawings are compared without them.
     *
     * @param  array<array-key, mixed>  $json
     */
    private static function bare(array $json): string
    {
        return (string) preg_replace('/"(asset|picture)":"[^"]*"/', '', (string) json_encode($json));
    }
}
