<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Asks;

use App\Models\Asks\Run;
use App\Models\LiveSession;
use App\Sessions\Asks\RunAsks;
use Crag\Asks\AskLine;
use Crag\Json\UnreadableFields;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Quick asks one after the other. */
final class RunController
{
    private const MOST = 40;

    public function __construct(private readonly RunAsks $runs)
    {
    }

    public function start(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'lines' => ['required', 'string', 'max:'.self::MOST * AskLine::LONGEST],
            'seconds' => ['required', 'integer', 'min:5', 'max:'.AskLine::LONGEST_SECONDS],
            'auto' => ['boolean'],
            'teams' => ['boolean'],
        ]);
        $typed = array_values(
            array_filter(array_map(trim(...), preg_split('/\R/u', $request->string('lines')->toString()) ?: [])),
        );
        abort_if(
            $typed === [] || count($typed) > self::MOST,
            422,
            __('Write 1 to :n questions, one per line.', ['n' => self::MOST]),
        );
        $lines = [];
        try {
            foreach ($typed as $i => $line) {
                $lines[] = AskLine::read($line);
            }
        } catch (UnreadableFields $problem) {
            abort(422, __('Line :n: :problem', ['n' => $i + 1, 'problem' => __($problem->getMessage())]));
        }
        $run = $this->runs->start(
            $session,
            $lines,
            $request->integer('seconds'),
            $request->boolean('auto'),
            $request->boolean('teams'),
        );

        return response()->json([
            'run' => $run->id,
            'said' => trans_choice(
                '{1} One quick ask starts.|[2,*] :count quick asks start, one after the other.',
                count($lines),
            ),
        ]);
    }

    public function next(Request $request, LiveSession $session, Run $run): JsonResponse
    {
        $request->validate(['at' => ['required', 'integer', 'min:0']]);
        $this->runs->next($session, $run, $request->integer('at'));

        return response()->json([]);
    }

    public function end(LiveSession $session, Run $run): JsonResponse
    {
        $this->runs->end($session, $run);

        return response()->json([]);
    }

    public function show(Request $request, LiveSession $session, Run $run): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean']]);
        $this->runs->show($session, $run, $request->boolean('on'));

        return response()->json([]);
    }

    public function putAway(LiveSession $session, Run $run): JsonResponse
    {
        abort_unless($run->isOver(), 409, __('Stop the run first.'));
        $this->runs->putAway($session, $run);

        return response()->json([]);
    }
}
