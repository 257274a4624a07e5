<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Show;

use App\Canvas\TakeCanvas;
use App\Http\CanvasAnswer;
use App\Http\Controllers\Screen\ClassScreenController;
use App\Http\CurrentRole;
use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Models\Show\Showcase;
use App\Models\Show\ShowcaseItem;
use App\Sessions\Room\Hands;
use App\Sessions\Show\BuildOn;
use App\Sessions\Show\ShowToClass;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Session\Room\ShortMessage;
use Crag\Session\Rules\Deed;
use Crag\Session\Screen\Destination;
use Crag\Session\Screen\ScreenView;
use Crag\Session\Screen\ShownPart;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

/** The teacher chooses what the class sees, and talks about it: ink over it, a part of it, its replay. */
final class ScreenController
{
    private const FASTEST = 32;

    public function __construct(private readonly ShowToClass $shown)
    {
    }

    public function view(Request $request, LiveSession $session): Response
    {
        $request->validate(['view' => ['required', new Enum(ScreenView::class)]]);
        $view = ScreenView::from($request->string('view')->toString());
        $lacks = $view->lacks(
            $session->ask_id !== null,
            $session->showcase_id !== null,
            $session->picks()->exists(),
            $session->seated()->whereNotNull('group')->exists(),
        );
        abort_if($lacks !== null, 422, __($lacks ?? ''));
        $this->shown->view($session, $view);

        return response()->noContent();
    }

    /** “Well done, A”: the class sees the letter, and its author alone is told that it was theirs. */
    public function praise(Request $request, LiveSession $session, Hands $hands): JsonResponse
    {
        $request->validate(['n' => ['required', 'integer'], 'words' => ['nullable', 'string', 'max:60']]);
        $item = ShowcaseItem::query()
            ->where('showcase_id', $session->showcase_id)
            ->where('n', $request->integer('n'))
            ->with('canvas.seat')
            ->firstOrFail();
        $words = $request->string('words')->trim()->toString();
        $seat = $item->canvas->seat;
        abort_if($seat === null && $words !== '', 422, __('That’s your own canvas.'));
        $this->shown->praise($session, $item, $words);
        if ($seat !== null && $words !== '') {
            $hands->remark(
                $seat->setRelation('session', $session),
                ShortMessage::read(__('Your work was shown: “:words”', ['words' => $words])),
                CurrentTeacher::found($request),
            );
        }

        return response()->json([
            'said' => $words === ''
                ? __('Taken away again.')
                : __('“:words”: on the class screen, and only its author knows whose it is.', ['words' => $words]),
        ]);
    }

    /** Where chosen work is to be seen. */
    public function on(Request $request, LiveSession $session): Response
    {
        $request->validate(['on' => ['required', new Enum(Destination::class)]]);
        $this->shown->on($session, Destination::from($request->string('on')->toString()));

        return response()->noContent();
    }

    public function showcase(Request $request, LiveSession $session): Response
    {
        $canvas = $session->canvases()->findOrFail($request->input('canvas'));
        $page = $request->string('page')->toString();
        abort_unless(isset($canvas->scene()->pages[$page]), 422, __('That canvas has no such page.'));
        $this->shown->canvas($session, $canvas, $page);

        return response()->noContent();
    }

    /** Up to four, each at a moment of its own. */
    public function moments(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'items' => ['required', 'array', 'min:1', 'max:'.Showcase::MOST],
            'items.*.canvas' => ['required', 'string'],
            'items.*.page' => ['nullable', 'string', 'max:40'],
            'items.*.at' => ['nullable', 'integer', 'min:0'],
        ]);
        $items = [];
        foreach ($request->array('items') as $one) {
            $canvas = $session->canvases()->with('prompt.session')->findOrFail($one['canvas']);
            CurrentRole::check($request, $session, Deed::SeeWork, $canvas->prompt);
            $at = isset($one['at']) ? min($canvas->operation_count, (int) $one['at']) : $canvas->operation_count;
            $page = (string) ($one['page'] ?? '');
            $items[] = [
                'canvas_id' => $canvas->id,
                'page' => isset($canvas->scene($at)->pages[$page]) ? $page : '',
                'at_operation' => $at,
            ];
        }
        $this->shown->moments($session, $items);

        return response()->json([
            'said' => trans_choice(
                '{1} The class can see it.|[2,*] The class can see :count side by side.',
                count($items),
            ),
        ]);
    }

    /** The teacher's own canvas beside what is shown, or alone. */
    public function lead(Request $request, LiveSession $session, TakeCanvas $takeCanvas): JsonResponse
    {
        $request->validate([
            'prompt' => ['nullable', 'string'],
            'page' => ['nullable', 'string', 'max:40'],
            'alone' => ['boolean'],
        ]);
        $prompt = $session->prompts()->findOrFail($request->input('prompt') ?? $session->prompt_id);
        $lead = $takeCanvas->lead($prompt);
        $page = $request->string('page')->toString();
        $page = isset($lead->scene()->pages[$page]) ? $page : '';
        if ($request->boolean('alone')) {
            if ($this->shown->isShown($session, $lead, $page)) {
                $this->shown->view($session, ScreenView::Prompt);

                return response()->json(['said' => __('Taken down. The class screen shows the prompt.')]);
            }
            // What the button says, whatever was chosen for work that was shown before.
            $session->update(['shown_on' => Destination::Screen]);
            $this->shown->moments($session, [['canvas_id' => $lead->id, 'page' => $page, 'at_operation' => null]]);

            return response()->json(['said' => __('The class sees this page as you draw on it.')]);
        }
        $this->shown->beside($session, $lead, $page);

        return response()->json(['said' => __('Your lead canvas is next to it.')]);
    }

    /** What the class sees, for the page on which the teacher talks about it. */
    public function talk(LiveSession $session): JsonResponse
    {
        $showcase =
            $session->screen_view === ScreenView::Showcase
                ? $session->showcase()->with('items.canvas.seat', 'items.canvas.prompt', 'items.over')->first()
                : null;

        return response()->json([
            'id' => $showcase?->id,
            'items' => $showcase === null
                    ? []
                    : $showcase->items
                        ->map(
                            static fn (ShowcaseItem $item): array => [
                                'prompt' => $item->canvas->prompt_id,
                                'owner' => $item->canvas->seat === null
                                        ? __('Lead canvas')
                                        : $session
                                            ->settings
                                            ->deskNames->show(
                                                $item->canvas->seat->name,
                                                $item->canvas->seat->seatName(),
                                            ),
                            ] + $item->told($session),
                        )
                        ->all(),
        ]);
    }

    public function picture(LiveSession $session, string $showcase, int $n): Response
    {
        return ClassScreenController::drawn($session, $this->item($session, $showcase, $n));
    }

    /** What is drawn over one of them: a log of its own, never the student's. */
    public function over(LiveSession $session, string $showcase, int $n, TakeCanvas $takeCanvas): Response
    {
        $over = $takeCanvas->over($this->item($session, $showcase, $n))->refresh();

        return CanvasAnswer::opening($over, ['tray' => ToolTray::of(TrayKind::Maths)->toArray()]);
    }

    /** The part that everybody sees: the corner at the upper left in units, and how many times larger. */
    public function look(Request $request, LiveSession $session, string $showcase, int $n): JsonResponse
    {
        $view = $request->json('view');
        try {
            $part = is_array($view) ? ShownPart::read(new Fields($view)) : null;
        } catch (UnreadableFields $problem) {
            throw ValidationException::withMessages(['view' => __($problem->getMessage())]);
        }
        $item = $this->item($session, $showcase, $n);
        $this->shown->look($session, $item, $part === null || $part->isWhole() ? null : $part);

        return response()->json([]);
    }

    public function replay(Request $request, LiveSession $session, string $showcase, int $n): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean'], 'speed' => ['integer', 'min:1', 'max:'.self::FASTEST]]);
        $this->shown->replay(
            $session,
            $this->item($session, $showcase, $n),
            $request->boolean('on'),
            $request->integer('speed', 4),
        );

        return response()->json([]);
    }

    /** Work that is shown goes to everybody as a backdrop to build on. */
    public function handOut(
        Request $request,
        LiveSession $session,
        string $showcase,
        int $n,
        BuildOn $buildOn,
    ): JsonResponse {
        $handout = $buildOn($session, $this->item($session, $showcase, $n));

        return response()->json([
            'said' => trans_choice(
                '{0} Nobody has a canvas yet; anyone who joins later gets it.|{1} On :count canvas, under the ink. No work is lost.|[2,*] On :count canvases, under the ink. No work is lost.',
                $handout->canvases()->count(),
            ),
            'undo' => ['address' => route('desk.handout.undo', [$session, $handout], false), 'body' => new \stdClass()],
        ]);
    }

    private function item(LiveSession $session, string $showcase, int $n): ShowcaseItem
    {
        abort_unless(Showcase::query()->whereKey($showcase)->where('live_session_id', $session->id)->exists(), 404);

        return ShowcaseItem::query()
            ->where('showcase_id', $showcase)
            ->where('n', $n)
            ->with('canvas.prompt.session', 'canvas.seat', 'over')
            ->firstOrFail();
    }
}
