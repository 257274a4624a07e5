<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Models\Asset;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Pictures\SheetOfPicture;
use App\Plans\TakesDrawing;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Question\Spot;
use Crag\Worksheet\Gap;
use Crag\Worksheet\Gaps;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Where something is to be filled in on a worksheet's page: proposed, for the teacher to take or leave. */
final class GapsController
{
    /** What a line of writing takes, in units. */
    private const LINE = 40;

    private const LONGEST_LABEL = 120;

    public function __construct(private readonly TakesDrawing $drawing)
    {
    }

    public function __invoke(Request $request, Plan $plan, Prompt $prompt): JsonResponse
    {
        $request->validate(['page' => ['required', 'integer', 'min:0', 'max:99']]);
        $n = $request->integer('page');
        $backdrop = array_values($this->drawing->canvas($prompt)->scene()->pages)[$n] ?? null;
        $asset = $backdrop?->asset === null
            ? null
            : Asset::query()->where('plan_id', $plan->id)->find($backdrop->asset);
        abort_if($backdrop === null || $asset === null, 422, __('This page has no picture or PDF as its backdrop.'));
        $sheet = SheetOfPicture::of($asset, $backdrop->paper);
        $gaps = $sheet === null ? [] : Gaps::on($sheet);

        return response()->json([
            'gaps' => array_map(
                static fn (Gap $gap): array => [
                    'kind' => $gap->kind->value,
                    'words' => mb_substr($gap->label, 0, self::LONGEST_LABEL),
                    'spot' => self::spot($gap, $n),
                ],
                array_slice($gaps, 0, PlanPrompt::MOST_QUESTIONS),
            ),
        ]);
    }

    /** @return array{page: int, x: int, y: int, w: int, bare: true} a line stands on the gap's lowest line */
    private static function spot(Gap $gap, int $page): array
    {
        $isLine = $gap->box->h < 2 * self::LINE;

        return [
            'page' => $page,
            'x' => max(0, (int) round($gap->box->x)),
            'y' => max(0, (int) round($isLine ? $gap->box->bottom() - self::LINE : $gap->box->y)),
            'w' => max(Spot::NARROWEST, (int) round($gap->box->w)),
            'bare' => true,
        ];
    }
}
