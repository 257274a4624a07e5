<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Models\Asks\Ask;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Show\ShowcaseItem;
use App\Sessions\Show\ShowToClass;
use Crag\Asks\OneOfEach;
use Crag\Asks\Work;

/** From a tally to the talk about it: one canvas for each common answer, beside each other. */
final readonly class ShowOneOfEach
{
    public function __construct(private ShowToClass $shown)
    {
    }

    /** @return list<OneOfEach> those that are shown now, the most frequent answer first */
    public function __invoke(LiveSession $session, Ask $ask): array
    {
        $canvases = Canvas::query()
            ->where('prompt_id', $session->prompt_id)
            ->whereIn('seat_id', $session->seated()->reorder()->select('id'))
            ->with('seat')
            ->get();
        $shown = ShowcaseItem::query()
            ->whereIn('canvas_id', $canvases->pluck('id'))
            ->selectRaw('canvas_id, count(*) as times')
            ->groupBy('canvas_id')
            ->pluck('times', 'canvas_id');
        $works = [];
        foreach ($canvases as $canvas) {
            $times = $shown[$canvas->id] ?? 0;
            $works[(string) $canvas->seat_id] = new Work(
                $canvas->id,
                $canvas->added_count ?? 0,
                is_numeric($times) ? (int) $times : 0,
                $canvas->seat->keeps_back ?? true,
            );
        }
        $found = OneOfEach::among($ask->tally(), $works);
        if ($found !== []) {
            $this->shown->moments(
                $session,
                array_map(
                    static fn (OneOfEach $one): array => [
                        'canvas_id' => $one->work->canvas,
                        'page' => '',
                        'at_operation' => $canvases->firstWhere('id', $one->work->canvas)?->operation_count,
                    ],
                    $found,
                ),
            );
        }

        return $found;
    }
}
