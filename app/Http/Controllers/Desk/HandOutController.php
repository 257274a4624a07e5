<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use App\Sessions\HandOut;
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
            'place' => ['required', Rule::in(['under', 'next'])],
            'picture' => ['nullable', 'file', 'max:10240'],
        ], ['picture.max' => __('That picture has more than 10 MB.'), 'picture.uploaded' => __('That picture has more than 10 MB.')]);
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

    private function backdrop(Request $request, LiveSession $session, StorePicture $storePicture): Backdrop
    {
        $kind = BackdropKind::from($request->string('backdrop')->toString());
        if ($kind !== BackdropKind::Picture) {
            return Backdrop::ruled($kind);
        }
        $file = $request->file('picture');
        if ($file !== null && ! is_array($file)) {
            return Backdrop::picture($storePicture($session, $file)->id);
        }
        $present = $session->prompt()->firstOrFail()->backdropValue();
        if ($present->kind !== BackdropKind::Picture) {
            throw ValidationException::withMessages(['picture' => __('Choose a picture first.')]);
        }

        return $present;
    }
}
