<?php

declare(strict_types=1);

namespace App\Plans;

use App\Live\SchoolTime;
use App\Models\Asset;
use App\Models\Holder;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use Crag\Json\Fields;
use Crag\Plan\PictureIds;
use Crag\Plan\Plan as PlanValue;
use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPages;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** New plans: empty, of prompts that were brought in, or as a copy of another. */
final readonly class MakePlan
{
    public function __construct(private EditPlan $edit, private TakesDrawing $drawing)
    {
    }

    public function empty(Teacher $teacher, string $title): Plan
    {
        $plan = Plan::query()->create([
            'teacher_id' => $teacher->id,
            'title' => PlanValue::title($title) ?:
                __('Plan of :day', ['day' => SchoolTime::of(now())->translatedFormat('j F')]),
            'copy_key' => Str::random(40),
            'edit_key' => Str::random(40),
        ]);
        $plan->teachers()->attach($teacher);

        return $plan;
    }

    /**
     * A copy for a teacher, who may be another one. It knows its original, and can take over what changes there.
     *
     * @param  ?string  $key  of the link by which the original was found
     */
    public function copy(Plan $plan, Teacher $teacher, string $title, ?string $key = null): Plan
    {
        return DB::transaction(function () use ($plan, $teacher, $title, $key): Plan {
            $copy = $this->empty($teacher, $title);
            $copy->update(['tags' => $plan->tags, 'copied_from_id' => $plan->id, 'copied_key' => $key]);
            $this->append($copy, $teacher, $this->prepared($plan), $plan);
            foreach ($copy->refresh()->present() as $i => $own) {
                $source = $plan->present()[$i] ?? null;
                $own->update(['source_id' => $source?->id, 'source_n' => $source?->changed_n]);
            }

            return $copy;
        });
    }

    /** Whatever stands in a plan, free of it. */
    public function value(Plan $plan): PlanValue
    {
        return PlanValue::of(
            $plan->title,
            $plan->tags,
            array_map(static fn (PreparedPrompt $one): array => [$one->prompt, $one->pages], $this->prepared($plan)),
        );
    }

    /** @return list<PreparedPrompt> */
    public function prepared(Plan $plan): array
    {
        return array_values(
            $plan
                ->present()
                ->map(
                    fn (Prompt $prompt): PreparedPrompt => new PreparedPrompt(
                        $prompt->value(),
                        $this->drawing->of($prompt),
                    ),
                )
                ->all(),
        );
    }

    /**
     * Adds prompts after those that are there.
     *
     * @param  list<PreparedPrompt>  $prompts
     * @param  ?Holder  $from  whose pictures they show, which are copied; null when they are the plan's own
     */
    public function append(Plan $plan, Teacher $teacher, array $prompts, ?Holder $from): void
    {
        foreach ($prompts as $prompt) {
            $plan->refresh();
            $sequence = $plan->sequence;
            $this->edit->add(
                $plan,
                $teacher,
                $from === null ? $prompt : self::withPictures($prompt, $from, $plan),
                $sequence === [] ? null : end($sequence),
            );
        }
    }

    /**
     * The same prompt with copies of its pictures that another holder holds. Pictures that are gone are left out of the
     * copying.
     */
    public static function withPictures(PreparedPrompt $prepared, Holder $from, Holder $to): PreparedPrompt
    {
        $names = [];
        $ids = [...PictureIds::in($prepared->prompt->toArray()), ...PictureIds::in($prepared->pages->toArray())];
        foreach (Asset::query()->where($from->column(), $from->holderId())->whereIn('id', $ids)->get() as $asset) {
            $names[$asset->id] = $asset->copyTo($to)->id;
        }

        return self::renamed($prepared, $names);
    }

    /** @param  array<string, string>  $names  pictures' new ids by their old ones */
    public static function renamed(PreparedPrompt $prepared, array $names): PreparedPrompt
    {
        return $names === []
            ? $prepared
            : new PreparedPrompt(
                PlanPrompt::read(new Fields(PictureIds::renamed($prepared->prompt->toArray(), $names))),
                PromptPages::read(PictureIds::renamed($prepared->pages->toArray(), $names), true),
            );
    }
}
