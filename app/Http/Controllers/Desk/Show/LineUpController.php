<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Show;

use App\Http\CurrentRole;
use App\Models\LiveSession;
use App\Models\Show\LineupEntry;
use App\Models\Show\Showcase;
use App\Sessions\Show\LineUp;
use Crag\Session\Door\NameMode;
use Crag\Session\Rules\Deed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Work that is chosen to be talked about. */
final class LineUpController
{
    private const MOST_AT_ONCE = 100;

    public function __construct(private readonly LineUp $lineUp)
    {
    }

    public function add(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'chosen' => ['required', 'array', 'max:'.self::MOST_AT_ONCE],
            'chosen.*.canvas' => ['required', 'string'],
            'chosen.*.page' => ['nullable', 'string', 'max:40'],
            'notes' => ['boolean'],
            'show' => ['boolean'],
        ]);
        $chosen = [];
        foreach ($request->array('chosen') as $one) {
            $canvas = $session->canvases()->with('prompt.session', 'seat')->findOrFail($one['canvas']);
            CurrentRole::check($request, $session, Deed::LineUp, $canvas->prompt);
            $page = (string) ($one['page'] ?? '');
            $chosen[] = [$canvas, isset($canvas->scene()->pages[$page]) ? $page : ''];
        }
        if ($request->boolean('show')) {
            CurrentRole::check($request, $session, Deed::ChooseScreen);
            $this->lineUp->addAndShow($session, array_slice($chosen, 0, Showcase::MOST), $request->boolean('notes'));

            return response()->json([]);
        }
        $this->lineUp->add($session, $chosen, $request->boolean('notes'));

        return response()->json([
            'said' => trans_choice(
                '{1} :count canvas is in the line-up.|[2,*] :count canvases are in the line-up.',
                count($chosen),
            ),
        ]);
    }

    public function remove(LiveSession $session, LineupEntry $entry): JsonResponse
    {
        $this->lineUp->remove($session, $entry);

        return response()->json([]);
    }

    public function show(LiveSession $session, LineupEntry $entry): JsonResponse
    {
        $this->lineUp->show($session, [$entry]);

        return response()->json([]);
    }

    /**
     * One beside what is shown; shown already, it goes. What is shown is known here, and not from a page that may be
     * behind.
     */
    public function showBeside(LiveSession $session, LineupEntry $entry): JsonResponse
    {
        $this->lineUp->beside($session, $entry);

        return response()->json([]);
    }

    public function step(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate(['by' => ['required', 'integer', 'in:-1,1']]);

        return response()->json([
            'said' => $this->lineUp->step($session, $request->integer('by')) ? null : __('That was the last one.'),
        ]);
    }

    /** Its caption, its moment, its names, its place. */
    public function change(Request $request, LiveSession $session, LineupEntry $entry): JsonResponse
    {
        $changes = $request->validate([
            'caption' => ['nullable', 'string', 'max:200'],
            'is_live' => ['boolean'],
            'names' => ['nullable', Rule::enum(NameMode::class)],
            'with_notes' => ['boolean'],
            'by' => ['integer', 'min:-100', 'max:100'],
        ]);
        $by = $changes['by'] ?? 0;
        unset($changes['by']);
        if (array_key_exists('caption', $changes)) {
            $changes['caption'] = trim((string) $changes['caption']);
        }
        if ($changes !== []) {
            $this->lineUp->change($session, $entry, $changes);
        }
        if (is_int($by) && $by !== 0) {
            $this->lineUp->move($session, $entry, $by);
        }

        return response()->json([]);
    }
}
