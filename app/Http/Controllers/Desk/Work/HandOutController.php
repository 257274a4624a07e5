<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Work;

use App\Http\ActAnswer;
use App\Http\CurrentRole;
use App\Http\Requests\HandoutRequest;
use App\Http\Words\ActWords;
use App\Models\Asset;
use App\Models\Handout;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Pictures\EmbeddedPictures;
use App\Pictures\PdfPage;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use App\Records\Rsvg;
use App\Sessions\Work\HandOutWork;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\HandoutMode;
use Crag\Plan\InvalidPages;
use Crag\Plan\PromptPage;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Backdrop\BackdropKind;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Render\SceneSvg;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Deed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

/** Words and a backdrop to every canvas. */
final class HandOutController
{
    private const PREVIEW_WIDTH = 640;

    public function __construct(private readonly HandOutWork $handOut)
    {
    }

    public function store(Request $request, LiveSession $session, StorePicture $storePicture): JsonResponse
    {
        $request->validate(
            [
                'backdrop' => ['required', new Enum(BackdropKind::class)],
                'settings' => ['array'],
                'place' => ['required', Rule::in(['under', 'next'])],
                'picture' => ['nullable', 'file', 'max:'.(StorePicture::MOST_MEGABYTES * 1024)],
            ],
            [
                'picture.max' => __('That file is over :n MB.', ['n' => StorePicture::MOST_MEGABYTES]),
                'picture.uploaded' => __('That file is over :n MB.', ['n' => StorePicture::MOST_MEGABYTES]),
            ],
        );
        try {
            $value = PromptValue::of(
                $request->string('words')->toString(),
                $this->backdrop($request, $session, $storePicture),
            );
        } catch (InvalidPrompt|UnusablePicture|UnreadableFields $problem) {
            throw ValidationException::withMessages(['words' => __($problem->getMessage())]);
        }
        if ($request->string('place')->is('next')) {
            return ActAnswer::of($request, $this->handOut->asNext($session, $value));
        }
        $handout = $this->handOut->underPresentWork($session, $value);

        return $handout === null ? response()->json([]) : $this->told($request, $session, $handout);
    }

    /**
     * The prompt as it was prepared, pages of the lead canvas, a picture, or pieces, to everybody or to some.
     */
    public function give(Request $request, LiveSession $session, Prompt $prompt, HandoutRequest $what): JsonResponse
    {
        $request->validate([
            'what' => ['required', Rule::in(['prompt', 'lead', 'picture', 'pieces'])],
            'mode' => ['required', new Enum(HandoutMode::class)],
            'seats' => ['nullable', 'array'],
            'pages' => ['nullable', 'string', 'max:100'],
            'alt' => ['nullable', 'string', 'max:280'],
        ]);
        $seats =
            $request->input('seats') === null
                ? null
                : $session->people($request->array('seats'))->where('state', SeatState::Seated)->all();
        abort_if($seats === [], 422, __('Choose at least one student.'));
        CurrentRole::check($request, $session, $seats === null ? Deed::HandOut : Deed::HandOutToSome);
        try {
            [$value, $label] = $what->of($session, $prompt, $request);
            $handout = $this->handOut->give(
                $session,
                $prompt,
                $value,
                $label,
                $seats === null ? null : array_values($seats),
            );
        } catch (InvalidPages|UnreadableFields $problem) {
            abort(422, __($problem->getMessage()));
        }

        return $this->told($request, $session, $handout);
    }

    /** What would lie on an empty canvas, before anything is handed out: its first page as a picture. */
    public function preview(
        Request $request,
        LiveSession $session,
        Prompt $prompt,
        HandoutRequest $what,
        StorePicture $storePicture,
    ): JsonResponse {
        $request->validate([
            'what' => ['required', Rule::in(['words', 'prompt', 'lead', 'picture'])],
            'backdrop' => ['required_if:what,words', new Enum(BackdropKind::class)],
            'settings' => ['array'],
            'pages' => ['nullable', 'string', 'max:100'],
        ]);
        try {
            $pages = $request->input('what') === 'words'
                ? [new PromptPage($this->backdrop($request, $session, $storePicture))]
                : $what->of($session, $prompt, $request)[0]->pages;
        } catch (InvalidPages|UnreadableFields|UnusablePicture $problem) {
            abort(422, __($problem->getMessage()));
        }
        $scene = PromptPages::of(array_values($pages))->scene();
        $png = Rsvg::png(SceneSvg::document($scene, new EmbeddedPictures($session)), self::PREVIEW_WIDTH);

        return response()->json([
            'picture' => 'data:image/png;base64,'.base64_encode($png),
            'said' => trans_choice('{1} On :count page|[2,*] On :count pages, of which this is the first', count($pages)),
        ]);
    }

    /** Takes it back from everybody, or from one student. */
    public function undo(Request $request, LiveSession $session, Handout $handout): JsonResponse
    {
        $seat = $request->filled('seat') ? $session->seats()->findOrFail($request->string('seat')->toString()) : null;
        CurrentRole::check(
            $request,
            $session,
            $handout->isForEverybody() && $seat === null ? Deed::HandOut : Deed::HandOutToSome,
        );
        abort_if($handout->undone_at_ms !== null, 409, __('That’s already been undone.'));
        $this->handOut->undo($handout, $seat);

        return response()->json(['said' => __('Undone. No student’s ink was touched.')]);
    }

    /** One page is told once more to look. */
    public function again(Request $request, LiveSession $session, Handout $handout): JsonResponse
    {
        $this->handOut->again($handout, $session->seats()->findOrFail($request->string('seat')->toString()));

        return response()->json([]);
    }

    /** A picture or a page of a PDF that is to be handed out. */
    public function picture(Request $request, LiveSession $session, StorePicture $storePicture): JsonResponse
    {
        $file = $request->file('picture');
        abort_if($file === null || is_array($file), 422, __('Choose a picture or a PDF first.'));
        try {
            $asset = $this->storePicture(
                $session,
                $file->getPathname(),
                $request->integer('pdf_page', 1),
                $storePicture,
            );
        } catch (UnusablePicture $problem) {
            abort(422, __($problem->getMessage()));
        }

        return response()->json(['asset' => $asset->id]);
    }

    private function told(Request $request, LiveSession $session, Handout $handout): JsonResponse
    {
        $n = $handout->canvases()->count();
        $act = $handout->act;

        return response()->json(
            ['handout' => $handout->id, 'canvases' => $n] +
                ($act === null
                    ? [
                        'said' => ActWords::handedOut($handout->mode === HandoutMode::Fresh, $n),
                        'undo' => [
                            'address' => route('desk.handout.undo', [$session, $handout], false),
                            'body' => (object) [],
                        ],
                    ]
                    : ActAnswer::told($request, $act)),
        );
    }

    /**
     * @throws UnreadableFields
     * @throws UnusablePicture
     */
    private function backdrop(Request $request, LiveSession $session, StorePicture $storePicture): Backdrop
    {
        if ($request->input('backdrop') !== BackdropKind::Picture->value) {
            return Backdrop::read(new Fields(['kind' => $request->input('backdrop')] + self::settings($request)));
        }
        $file = $request->file('picture');
        if ($file !== null && ! is_array($file)) {
            $page = $request->integer('pdf_page', 1);

            return $this->storePicture($session, $file->getPathname(), $page, $storePicture)->backdrop();
        }
        $present = $session->prompt()->firstOrFail()->backdrop;
        if ($present->kind !== BackdropKind::Picture) {
            throw ValidationException::withMessages(['picture' => __('Choose a picture or a PDF first.')]);
        }

        return $present;
    }

    private function storePicture(LiveSession $session, string $path, int $page, StorePicture $storePicture): Asset
    {
        if (! PdfPage::is($path)) {
            return $storePicture($session, $path);
        }
        $drawn = PdfPage::picture($path, $page);
        try {
            return $storePicture($session, $drawn);
        } finally {
            unlink($drawn);
        }
    }

    /** @return array<string, string|int|float> a ruling's settings, numbers as numbers */
    private static function settings(Request $request): array
    {
        $settings = [];
        foreach ($request->input('settings', []) ?: [] as $name => $value) {
            $value = is_string($value) ? trim($value) : '';
            $isLabel = str_ends_with((string) $name, '_label');
            $settings[(string) $name] = ! $isLabel && is_numeric($value) ? $value + 0 : $value;
        }

        return $settings;
    }
}
