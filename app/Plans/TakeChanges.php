<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use Crag\Plan\PromptChange;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * A copy of a plan takes over what has been changed in its original since. Words, questions and settings become the
 * original's, and can be taken back; where something else is drawn, the original's prompt comes behind the copy's own.
 */
final readonly class TakeChanges
{
    /** Each open page of the copy asks every three seconds. */
    private const REMEMBERED_S = 30;

    public function __construct(private EditPlan $edit, private TakesDrawing $drawing)
    {
    }

    /** The plan that it was copied from, while this teacher may see what becomes of it. */
    public static function original(Plan $copy, Teacher $teacher): ?Plan
    {
        $original = $copy->copied_from_id === null ? null : Plan::query()->find($copy->copied_from_id);

        return $original !== null &&
            ($teacher->mayEdit($original) || $original->isLink((string) $copy->copied_key))
            ? $original
            : null;
    }

    /** @return list<string> what has changed there, in words */
    public function offered(Plan $copy, Teacher $teacher): array
    {
        $original = self::original($copy, $teacher);

        return $original === null ? [] : Cache::remember(
            "offered.{$copy->id}.{$copy->edit_count}.{$original->edit_count}",
            self::REMEMBERED_S,
            fn (): array => $this->said($copy, $original),
        );
    }

    /** @return list<string> */
    private function said(Plan $copy, Plan $original): array
    {
        $said = [];
        foreach ($this->changed($copy, $original) as [$prompt, $own, $changes]) {
            $n = (int) array_search($prompt->id, $original->sequence, true) + 1;
            $said[] = $own === null
                ? __('prompt :n, which is new', ['n' => $n])
                : __('prompt :n (:changes)', ['n' => $n, 'changes' => PromptChanges::inWords($changes)]);
        }

        return $said;
    }

    /** @return int how many prompts changed or are new */
    public function __invoke(Plan $copy, Teacher $teacher): int
    {
        $original = self::original($copy, $teacher) ?? abort(404, __('The original can’t be seen any more.'));

        return DB::transaction(function () use ($copy, $teacher, $original): int {
            $changed = $this->changed($copy, $original);
            $after = null;
            foreach ($original->present() as $prompt) {
                $found = collect($changed)->first(static fn (array $one): bool => $one[0]->is($prompt));
                $own = self::ownOf($copy, $prompt);
                if ($found !== null) {
                    $own = $this->take($copy, $teacher, $original, $prompt, $own, $found[2], $after ?? $own?->id);
                }
                $after = $own->id ?? $after;
            }

            return count($changed);
        });
    }

    /**
     * @param  list<PromptChange>  $changes
     * @param  ?string  $after  the prompt of the copy behind which a new one comes
     */
    private function take(
        Plan $copy,
        Teacher $teacher,
        Plan $original,
        Prompt $prompt,
        ?Prompt $own,
        array $changes,
        ?string $after,
    ): Prompt {
        if ($own === null || in_array(PromptChange::Drawing, $changes, true)) {
            $prepared = MakePlan::withPictures(
                new PreparedPrompt($prompt->value(), $this->drawing->of($prompt)),
                $original,
                $copy,
            );
            $own?->update(['source_id' => null]);
            $own = $this->edit->add($copy, $teacher, $prepared, $own->id ?? $after);
        } else {
            $now = MakePlan::withPictures(
                new PreparedPrompt($prompt->value(), $this->drawing->of($own)),
                $original,
                $copy,
            )->prompt->toArray();
            foreach ($own->value()->toArray() as $field => $before) {
                if (PromptChange::bare($before) !== PromptChange::bare($now[$field])) {
                    $this->edit->set($copy, $teacher, $own, $field, $before, $now[$field]);
                }
            }
        }
        $own->update(['source_id' => $prompt->id, 'source_n' => $prompt->changed_n]);

        return $own;
    }

    /**
     * @return list<array{Prompt, ?Prompt, list<PromptChange>}> the original's prompt, the copy's, and what differs;
     *      what the copy has left out on purpose is left out
     */
    private function changed(Plan $copy, Plan $original): array
    {
        $changed = [];
        $owns = $copy->prompts()->whereNotNull('source_id')->orderBy('id')->get()->keyBy('source_id');
        foreach ($original->present() as $prompt) {
            $own = $owns->get($prompt->id);
            if ($own === null) {
                $changed[] = [$prompt, null, []];
            } elseif (in_array($own->id, $copy->sequence, true) && $prompt->changed_n > (int) $own->source_n) {
                $changes = PromptChange::between(
                    $own->value(),
                    $prompt->value(),
                    PromptChange::bare($this->drawing->of($own)->toArray()) !==
                        PromptChange::bare($this->drawing->of($prompt)->toArray()),
                );
                if ($changes !== []) {
                    $changed[] = [$prompt, $own, $changes];
                }
            }
        }

        return $changed;
    }

    private static function ownOf(Plan $copy, Prompt $prompt): ?Prompt
    {
        return $copy->prompts()->where('source_id', $prompt->id)->latest('id')->first();
    }
}
