<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Http\CurrentRole;
use App\Models\LineupEntry;
use App\Models\LiveSession;
use App\Sessions\LineUp;
use Crag\Session\Deed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Work that is chosen to be talked about. */
final class LineUpController
{
    private const MOST_AT_ONCE = 100;

    public function __construct(private readonly LineUp $lineUp)
    {
    }

    public function add(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate(['chosen' => ['required', 'array', 'max:'.self::MOST_AT_ONCE], 'chosen.*.canvas' => ['required', 'string'], 'chosen.*.page' => ['nullable', 'string', 'max:40'], 'notes' => ['boolean']]);
        $chosen = [];
        foreach ($request->array('chosen') as $one) {
            $canvas = $session->canvases()->with('prompt.session', 'seat')->findOrFail($one['canvas']);
            CurrentRole::check($request, $session, Deed::LineUp, $canvas->prompt);
            $page = (string) ($one['page'] ?? '');
            $chosen[] = [$canvas, isset($canvas->scene()->pages[$page]) ? $page : ''];
        }
        $this->lineUp->add($session, $chosen, $request->boolean('notes'));

        return response()->json(['said' => trans_choice('{1} :count canvas is in the line-up.|[2,*] :count canvases are in the line-up.', count($chosen))]);
    }

    public function remove(LiveSession $session, LineupEntry $entry): JsonResponse
    {
        abort_unless($entry->live_session_id === $session->id, 404);
        $this->lineUp->remove($session, $entry);

        return response()->json([]);
    }

    public function show(LiveSession $session, LineupEntry $entry): JsonResponse
    {
        abort_unless($entry->live_session_id === $session->id, 404);
        $this->lineUp->show($session, $entry);

        return response()->json([]);
    }
}
