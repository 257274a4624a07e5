<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\PlanEdit;
use App\Models\Teachers\Teacher;
use Crag\Canvas\Log\TrayInForce;
use Crag\Json\Fields;
use Crag\Plan\Plan as PlanValue;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\InvalidPrompt;
use Illuminate\Support\Facades\DB;

/**
 * The one way to change a plan. Each edit says what a field was and what it becomes, so that nobody overwrites what
 * somebody else has changed meanwhile, and is written down, so that it can be taken back.
 */
final readonly class EditPlan
{
    private const KEPT_EDITS = 500;

    public function __construct(private TakesDrawing $drawing)
    {
    }

    /**
     * Changes one field of a prompt, or of the plan (title, tags).
     * A ChangedMeanwhile is thrown when it is no longer what the editor saw.
     */
    public function set(Plan $plan, Teacher $teacher, ?Prompt $prompt, string $field, mixed $from, mixed $to): PlanEdit
    {
        return DB::transaction(function () use ($plan, $teacher, $prompt, $field, $from, $to): PlanEdit {
            $plan->refresh();
            $prompt?->refresh();
            $present = self::present($plan, $prompt)[$field] ?? null;
            if (! self::same($present, $from)) {
                throw new ChangedMeanwhile($field, $present);
            }
            $this->put($plan, $prompt, $field, $to);

            return $this->write(
                $plan,
                $teacher,
                $prompt,
                $field,
                $present,
                self::present($plan, $prompt)[$field] ?? null,
            );
        });
    }

    /** @param  ?string  $after  the id of the prompt before it; null for the first place */
    public function add(Plan $plan, Teacher $teacher, PreparedPrompt $prepared, ?string $after): Prompt
    {
        return DB::transaction(function () use ($plan, $teacher, $prepared, $after): Prompt {
            $plan->refresh();
            abort_if(
                count($plan->sequence) >= PlanPrompt::MOST_PROMPTS,
                422,
                __('A plan can have up to :n prompts.', ['n' => PlanPrompt::MOST_PROMPTS]),
            );
            $prompt = Prompt::query()->create(
                ['plan_id' => $plan->id, 'backdrop' => Backdrop::blank()] + self::columns($prepared->prompt),
            );
            $this->drawing->begin($prompt, $prepared->pages);
            $this->reorder($plan, $teacher, $prompt, self::inserted($plan->sequence, $prompt->id, $after));

            return $prompt;
        });
    }

    public function remove(Plan $plan, Teacher $teacher, Prompt $prompt): void
    {
        DB::transaction(function () use ($plan, $teacher, $prompt): void {
            $plan->refresh();
            $this->reorder($plan, $teacher, $prompt, array_values(array_diff($plan->sequence, [$prompt->id])));
        });
    }

    public function move(Plan $plan, Teacher $teacher, Prompt $prompt, ?string $after): void
    {
        DB::transaction(function () use ($plan, $teacher, $prompt, $after): void {
            $plan->refresh();
            $this->reorder(
                $plan,
                $teacher,
                $prompt,
                self::inserted(array_values(array_diff($plan->sequence, [$prompt->id])), $prompt->id, $after),
            );
        });
    }

    /**
     * Takes the teacher's latest edit back, or (with $again) does the one taken back last again.
     *
     * @return ?PlanEdit what was done; null when there is nothing to do
     *                    A ChangedMeanwhile is thrown when somebody has changed the same since.
     */
    public function step(Plan $plan, Teacher $teacher, bool $again): ?PlanEdit
    {
        return DB::transaction(function () use ($plan, $teacher, $again): ?PlanEdit {
            $plan->refresh();
            $edit = PlanEdit::query()
                ->where('plan_id', $plan->id)
                ->where('teacher_id', $teacher->id)
                ->where('undone', $again)
                ->orderBy('n', $again ? 'asc' : 'desc')
                ->first();
            if ($edit === null) {
                return null;
            }
            $prompt = $edit->prompt_id === null ? null : Prompt::query()->find($edit->prompt_id);
            [$from, $to] = $again ? [$edit->before, $edit->after] : [$edit->after, $edit->before];
            if ($edit->field === 'place') {
                // The place among the others may have shifted: the prompt goes where it was, after the same one.
                $sequence = array_values(array_diff($plan->sequence, [$edit->prompt_id]));
                $plan->sequence =
                    $to === false
                        ? $sequence
                        : self::inserted($sequence, (string) $edit->prompt_id, is_string($to) ? $to : null);
            } else {
                if (! self::same(self::present($plan, $prompt)[$edit->field] ?? null, $from)) {
                    throw new ChangedMeanwhile($edit->field, self::present($plan, $prompt)[$edit->field] ?? null);
                }
                $this->put($plan, $prompt, $edit->field, $to);
            }
            $edit->update(['undone' => ! $again]);
            $this->count($plan, $prompt);

            return $edit;
        });
    }

    /** @return array{undo: bool, redo: bool} what the teacher can take back and do again */
    public function steps(Plan $plan, Teacher $teacher): array
    {
        $edits = $plan->edits()->where('teacher_id', $teacher->id)->reorder();

        return [
            'undo' => (clone $edits)->where('undone', false)->exists(),
            'redo' => (clone $edits)->where('undone', true)->exists(),
        ];
    }

    /** Something was drawn: other pages of the plan shall hear of it. */
    public function drawn(Plan $plan, Prompt $prompt): void
    {
        DB::transaction(fn () => $this->count($plan->refresh(), $prompt));
    }

    /** @return array<string, mixed> a prompt's fields, or the plan's */
    public static function present(Plan $plan, ?Prompt $prompt): array
    {
        return $prompt === null ? ['title' => $plan->title, 'tags' => $plan->tags] : $prompt->value()->toArray();
    }

    private function put(Plan $plan, ?Prompt $prompt, string $field, mixed $to): void
    {
        if ($prompt === null) {
            match ($field) {
                'title' => ($plan->title =
                    PlanValue::title(is_string($to) ? $to : '') ?: throw InvalidPrompt::untitled()),
                'tags' => ($plan->tags = PlanValue::tags(
                    array_values(array_filter(is_array($to) ? $to : [], is_string(...))),
                )),
                default => abort(422, __('That can’t be changed in a plan.')),
            };

            return;
        }
        abort_unless(array_key_exists($field, $prompt->value()->toArray()), 422, __('That can’t be changed in a prompt.'));
        $prompt->update(self::columns(PlanPrompt::read(new Fields([$field => $to] + $prompt->value()->toArray()))));
    }

    /** @return array<string, mixed> */
    private static function columns(PlanPrompt $value): array
    {
        $all = $value->toArray();
        unset($all['words'], $all['tray']);

        return [
            'words' => $value->words,
            'tray' => $value->tray === null ? null : TrayInForce::always($value->tray),
            'details' => $all,
        ];
    }

    /** @param  list<string>  $sequence */
    private function reorder(Plan $plan, Teacher $teacher, Prompt $prompt, array $sequence): void
    {
        $before = self::place($plan->sequence, $prompt->id);
        $plan->sequence = $sequence;
        $this->write($plan, $teacher, $prompt, 'place', $before, self::place($sequence, $prompt->id));
    }

    private function write(
        Plan $plan,
        Teacher $teacher,
        ?Prompt $prompt,
        string $field,
        mixed $before,
        mixed $after,
    ): PlanEdit {
        // What was taken back cannot be done again once something new was done.
        $plan->edits()->where('teacher_id', $teacher->id)->where('undone', true)->delete();
        $plan
            ->edits()
            ->where('n', '<', $plan->edit_count - self::KEPT_EDITS)
            ->delete();
        $this->count($plan, $prompt);

        return PlanEdit::query()->create([
            'plan_id' => $plan->id,
            'n' => $plan->edit_count,
            'teacher_id' => $teacher->id,
            'prompt_id' => $prompt?->id,
            'field' => $field,
            'before' => $before,
            'after' => $after,
        ]);
    }

    private function count(Plan $plan, ?Prompt $prompt): void
    {
        $plan->edit_count++;
        $plan->save();
        $prompt?->update(['changed_n' => $plan->edit_count]);
    }

    /**
     * @param  list<string>  $sequence
     * @return string|false|null the one before it, null for the first place, false when it does not stand there
     */
    private static function place(array $sequence, string $id): string|false|null
    {
        $at = array_search($id, $sequence, true);

        return $at === false ? false : $sequence[$at - 1] ?? null;
    }

    /**
     * @param  list<string>  $sequence
     * @return list<string>
     */
    private static function inserted(array $sequence, string $id, ?string $after): array
    {
        $at = $after === null ? 0 : array_search($after, $sequence, true);
        array_splice($sequence, $at === false ? count($sequence) : $at + ($after === null ? 0 : 1), 0, [$id]);

        return $sequence;
    }

    /** Whether two values in JSON form are the same, numbers by their worth and objects in any order. */
    private static function same(mixed $one, mixed $two): bool
    {
        return $one == $two && is_array($one) === is_array($two) && ($one === null) === ($two === null);
    }
}
