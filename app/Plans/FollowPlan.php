<?php

declare(strict_types=1);

namespace App\Plans;

use App\Canvas\TakeCanvas;
use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Sessions\Life\StartSession;
use App\Sessions\Room\RoomState;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptChange;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Brings what has changed in a plan into a running session. Words, questions and tools change for everybody; what is
 * drawn changes on canvases that nobody has begun, and stays as it was under work that is there. The order follows too;
 * a prompt that is no longer in the plan goes when students have not seen it.
 */
final readonly class FollowPlan
{
    /**
     * Asked for every few seconds by each open page; what changes in the session itself is seen after so many seconds.
     */
    private const REMEMBERED_S = 30;

    public function __construct(private MakePlan $plans, private TakeCanvas $takeCanvas, private Announce $announce)
    {
    }

    /** What the plan now says that the session does not have. */
    public function lacking(LiveSession $session, Plan $plan): Lacking
    {
        [$lacks, $warnings] = Cache::remember(
            "behind.{$session->id}.{$plan->edit_count}.{$session->prompts()->count()}",
            self::REMEMBERED_S,
            fn (): array => $this->compared($session, $plan),
        );

        return new Lacking($lacks, $warnings);
    }

    /** @return array{list<string>, list<string>} what it lacks, and warnings */
    private function compared(LiveSession $session, Plan $plan): array
    {
        $copies = $session->prompts()->orderBy('n')->get();
        $present = $plan->present();
        $lacks = $warnings = [];
        foreach ($this->plans->prepared($plan) as $i => $prepared) {
            $copy = $copies->firstWhere('source_id', $present[$i]->id ?? null);
            $changes = $copy === null ? [] : self::changes($copy, $prepared);
            if ($copy === null) {
                $lacks[] = __('prompt :n, which is new', ['n' => $i + 1]);
            } elseif ($changes !== []) {
                $lacks[] = __('prompt :n (:changes)', [
                    'n' => $i + 1,
                    'changes' => PromptChanges::inWords($changes),
                ]);
                $begun = $copy->canvases()->where('operation_count', '>', 0)->whereNotNull('last_stroke_ms')->count();
                if ($begun > 0) {
                    $warnings[] = trans_choice(
                        '{1} :count student has begun prompt :n: their work stays.|[2,*] :count students have begun prompt :n: their work stays.',
                        $begun,
                        ['n' => $i + 1],
                    );
                }
            }
        }
        $gone = $this->gone($session, $plan, $copies);
        foreach ($copies as $copy) {
            $isOut = $copy->source_id !== null && ! in_array($copy->source_id, $plan->sequence, true);
            if ($isOut && $gone->contains($copy)) {
                $lacks[] = __('the removal of “:words”', ['words' => self::called($copy)]);
            } elseif ($isOut && $plan->prompts()->whereKey($copy->source_id)->exists()) {
                $warnings[] = __('“:words” is out of the plan, but students have seen it: it stays.', [
                    'words' => self::called($copy),
                ]);
            }
        }
        if (self::order($copies, $plan->sequence) !== $copies->modelKeys()) {
            $lacks[] = __('the new order');
        }

        return [$lacks, $lacks === [] ? [] : $warnings];
    }

    /** @return int how many prompts changed, are new, went or stand elsewhere now */
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
                if ($copy !== null && self::changes($copy, $prepared) === []) {
                    continue;
                }
                $prepared = MakePlan::withPictures($prepared, $plan, $session);
                if ($copy === null) {
                    StartSession::put($session, $prepared, ++$n, $source?->id);
                } else {
                    $this->change($copy, $prepared);
                }
                $changed++;
            }
            $copies = $session->prompts()->orderBy('n')->get();
            $gone = $this->gone($session, $plan, $copies);
            $gone->each(static fn (Prompt $prompt) => $prompt->delete());
            $changed += $gone->count() + self::arrange($copies->diff($gone), $plan->sequence);
            if ($changed > 0) {
                Cache::forget("behind.{$session->id}.{$plan->edit_count}.{$session->prompts()->count()}");
                $prompt = $session->prompt()->firstOrFail();
                ($this->announce)($session, Audience::room($session), 'prompt', [
                    'prompt' => ['again' => true] + $prompt->announcement(),
                    'room' => RoomState::shared($session),
                ]);
            }

            return $changed;
        });
    }

    /**
     * What the plan held once and no longer does, where no student has seen it.
     *
     * @param  Collection<int, Prompt>  $copies
     * @return Collection<int, Prompt>
     */
    private function gone(LiveSession $session, Plan $plan, Collection $copies): Collection
    {
        return $copies->filter(
            static fn (Prompt $copy): bool => $copy->source_id !== null &&
                ! in_array($copy->source_id, $plan->sequence, true) &&
                ! $copy->state->isSeen() &&
                $copy->id !== $session->prompt_id &&
                $plan->prompts()->whereKey($copy->source_id)->exists(),
        );
    }

    /**
     * The plan's prompts in the plan's order; one that is the session's own stays behind the one that it followed.
     *
     * @param  Collection<int, Prompt>  $copies  in the session's order
     * @param  list<string>  $sequence
     * @return list<string> ids
     */
    private static function order(Collection $copies, array $sequence): array
    {
        $bySource = $copies->whereIn('source_id', $sequence)->keyBy('source_id');
        $order = array_values(
            array_filter(array_map(static fn (string $source): ?string => $bySource->get($source)?->id, $sequence)),
        );
        $before = null;
        foreach ($copies as $copy) {
            if (! in_array($copy->id, $order, true)) {
                array_splice($order, $before === null ? 0 : (int) array_search($before, $order, true) + 1, 0, [
                    $copy->id,
                ]);
            }
            $before = $copy->id;
        }

        return $order;
    }

    /**
     * @param  Collection<int, Prompt>  $copies
     * @param  list<string>  $sequence
     * @return int how many stand elsewhere now
     */
    private static function arrange(Collection $copies, array $sequence): int
    {
        $order = self::order($copies, $sequence);
        $n = array_flip($order);
        $moved = $copies->filter(static fn (Prompt $copy): bool => $copy->n !== $n[$copy->id] + 1);
        // No two may have the same number, not even on the way.
        $moved->each(static fn (Prompt $copy) => $copy->update(['n' => $copy->n + PlanPrompt::MOST_PROMPTS * 10]));
        $moved->each(static fn (Prompt $copy) => $copy->update(['n' => $n[$copy->id] + 1]));

        return $order === $copies->modelKeys() ? 0 : $moved->count();
    }

    /** By its words, or by its number where it has none. */
    private static function called(Prompt $copy): string
    {
        return mb_strimwidth($copy->plainWords(), 0, 30, '…') ?: $copy->title();
    }

    /** @return list<PromptChange> */
    private static function changes(Prompt $copy, PreparedPrompt $prepared): array
    {
        return PromptChange::between(
            $copy->value(),
            $prepared->prompt,
            PromptChange::bare($copy->pages?->toArray() ?? []) !== PromptChange::bare($prepared->pages->toArray()),
        );
    }

    private function change(Prompt $copy, PreparedPrompt $prepared): void
    {
        $before = PromptChange::bare($copy->pages?->toArray() ?? []);
        $copy->update(StartSession::columns($prepared));
        if ($before === PromptChange::bare($prepared->pages->toArray())) {
            return;
        }
        foreach ($copy->canvases()->with('seat')->whereNull('last_stroke_ms')->get() as $canvas) {
            $canvas->delete();
            if ($canvas->seat !== null) {
                ($this->takeCanvas)($canvas->seat, $copy);
            }
        }
    }
}
