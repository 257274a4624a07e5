<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\LiveSession;
use App\Models\Seat;
use App\Pictures\BringIn;
use App\Pictures\StorePicture;
use App\Pictures\UnusablePicture;
use Crag\Formats\UnreadableFile;
use Crag\Prompt\Tray\Tool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A file from outside for a canvas: the answer holds the objects that it makes, which the page then places. */
final class BringInController
{
    public function __construct(private readonly BringIn $bringIn)
    {
    }

    public function student(Request $request, Seat $seat): JsonResponse
    {
        $tray = $seat->presentPrompt()->trayInForce()->now;
        abort_unless($tray->has(Tool::Picture), 403, __('Your teacher has turned pictures off.'));

        return $this->bringIn($request, $seat->session, $seat);
    }

    public function teacher(Request $request, LiveSession $session): JsonResponse
    {
        return $this->bringIn($request, $session, null);
    }

    private function bringIn(Request $request, LiveSession $session, ?Seat $seat): JsonResponse
    {
        $bytes = $request->getContent();
        abort_if(strlen($bytes) > StorePicture::MOST_BYTES, 422, __('That file is over :n MB.', ['n' => StorePicture::MOST_MEGABYTES]));
        abort_if($bytes === '', 422, __('That file is empty.'));
        try {
            return response()->json(['objects' => ($this->bringIn)($session, $seat, $bytes)]);
        } catch (UnusablePicture|UnreadableFile $problem) {
            abort(422, __($problem->getMessage()));
        }
    }
}
