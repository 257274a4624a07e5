<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Models\Asset;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Pictures\SheetOfPicture;
use App\Plans\TakesDrawing;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Question\Spot;
use Crag\Worksheet\Gap;
use Crag\Worksheet\Gaps;
use Crag\Worksheet\SheetPage;
use Illuminate\Http\JsonResponse;

/** Where something is to be filled in on a worksheet's pages: proposed, for the teacher to take or leave. */
final class GapsController
{
    /** What a line of writing takes, in units. */
    private const LINE = 40;

    private const LONGEST_LABEL = 120;

    public function __construct(private readonly TakesDrawing $drawing)
    {
    }

    public function __invoke(Plan $plan, Prompt $prompt): JsonResponse
    {
        $pages = array_values($this->drawing->canvas($prompt)->scene()->pages);
        $sheets = array_filter(array_map(
            static fn (Backdrop $backdrop): ?SheetPage => self::sheet($plan, $backdrop),
            $pages,
        ));
        abort_if($sheets === [], 422, __('None of these pages has a picture or PDF as its backdrop.'));
        $gaps = [];
        foreach ($sheets as $n => $sheet) {
            foreach (Gaps::on($sheet) as $gap) {
                $gaps[] = [
                    'kind' => $gap->kind->value,
                    'words' => mb_substr($gap->label, 0, self::LONGEST_LABEL),
                    'spot' => self::spot($gap, $n),
                ];
            }
        }

        return response()->json(['gaps' => array_slice($gaps, 0, PlanPrompt::MOST_QUESTIONS), 'all' => count($gaps)]);
    }

    private static function sheet(Plan $plan, Backdrop $backdrop): ?SheetPage
    {
        $asset = $backdrop->asset === null
            ? null
            : Asset::query()->where('plan_id', $plan->id)->find($backdrop->asset);

        return $asset === null ? null : SheetOfPicture::of($asset, $backdrop->paper);
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
