<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Canvas;
use App\Models\LoggedOperation;
use App\Models\TalkThrough;
use Crag\Canvas\Log\Replay;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

/** A canvas's log with the time of each step, as players read it: resources/ts/grid/film.ts. */
final class ReplayAnswer
{
    /**
     * @param  Collection<int, LoggedOperation>  $rows
     * @param  ?TalkThrough  $talk  on whose clock the steps are
     */
    public static function of(
        Replay $replay,
        Collection $rows,
        Canvas $canvas,
        ?TalkThrough $talk = null,
    ): Response {
        return response(
            sprintf(
                '{"lasts":%d,"rubbed":%s,"filmed":%s,"captions":%s,"boxes":%s,"steps":%s,"operations":[%s]}',
                $talk->lasts_ms ?? $replay->lasts(),
                json_encode($replay->rubbedOut, JSON_THROW_ON_ERROR),
                $talk?->is_filmed === true ? 'true' : 'false',
                json_encode($talk?->captions()->lines ?? [], JSON_THROW_ON_ERROR),
                json_encode($canvas->boxes(), JSON_THROW_ON_ERROR),
                json_encode(
                    array_map(static fn (array $step): array => [$step['from'], $step['to']], $replay->steps),
                    JSON_THROW_ON_ERROR,
                ),
                $rows->map(static fn (LoggedOperation $row): string => $row->wire())->implode(','),
            ),
        )->header('Content-Type', 'application/json');
    }
}
