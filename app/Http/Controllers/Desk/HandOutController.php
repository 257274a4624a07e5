<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Pictures\PdfPage;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use App\Sessions\HandOut;
use Crag\Canvas\Fields;
use Crag\Canvas\UnreadableOperation;
use Crag\Prompt\Backdrop;
use Crag\Prompt\BackdropKind;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\Prompt as PromptValue;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

/** Words and a backdrop to every canvas. */
final class HandOutController
{
    public function __construct(private readonly HandOut $handOut)
    {
    }

    public function store(Request $request, LiveSession $session, StorePicture $storePicture): Response
    {
        $request->validate([
            'backdrop' => ['required', new Enum(BackdropKind::class)],
            'settings' => ['array'],
            'place' => ['required', Rule::in(['under', 'next'])],
            'picture' => ['nullable', 'file', 'max:10240'],
        ], ['picture.max' => __('That file has more than 10 MB.'), 'picture.uploaded' => __('That file has more than 10 MB.')]);
        try {
            $value = PromptValue::of($request->string('words')->toString(), $this->backdrop($request, $session, $storePicture));
        } catch (InvalidPrompt|UnusablePicture|UnreadableOperation $problem) {
            throw ValidationException::withMessages(['words' => __($problem->getMessage())]);
        }
        $request->string('place')->is('next')
            ? $this->handOut->asNext($session, $value)
            : $this->handOut->underPresentWork($session, $value);

        return response()->noContent()->header('HX-Trigger', 'crag:handed-out');
    }

    /** Brings everybody to a prompt of the session. */
    public function goTo(LiveSession $session, Prompt $prompt): Response
    {
        abort_unless($prompt->live_session_id === $session->id, 404);
        $this->handOut->goTo($session, $prompt);

        return response()->noContent()->header('HX-Trigger', 'crag:handed-out');
    }

    /**
     * @throws UnreadableOperation
     * @throws UnusablePicture
     */
    private function backdrop(Request $request, LiveSession $session, StorePicture $storePicture): Backdrop
    {
        if ($request->input('backdrop') !== BackdropKind::Picture->value) {
            return Backdrop::read(new Fields(['kind' => $request->input('backdrop')] + self::settings($request)));
        }
        $file = $request->file('picture');
        if ($file !== null && ! is_array($file)) {
            return Backdrop::picture($this->picture($session, $file->getPathname(), $request->integer('pdf_page', 1), $storePicture)->id);
        }
        $present = $session->prompt()->firstOrFail()->backdropValue();
        if ($present->kind !== BackdropKind::Picture) {
            throw ValidationException::withMessages(['picture' => __('Choose a picture or a PDF first.')]);
        }

        return $present;
    }

    private function picture(LiveSession $session, string $path, int $page, StorePicture $storePicture): Asset
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
