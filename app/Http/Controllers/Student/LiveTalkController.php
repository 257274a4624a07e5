<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Models\Seat;
use App\Sessions\Room\LiveTalk;
use Crag\Formats\SessionDescription;
use Crag\Formats\UnusableDescription;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A student answers a teacher who would like to talk. */
final class LiveTalkController
{
    public function __invoke(Request $request, Seat $seat, string $talk, LiveTalk $live): JsonResponse
    {
        $request->validate([
            'is' => ['required', 'in:accepted,offer,declined,ended'],
            'sdp' => ['required_if:is,offer', 'string', 'max:'.SessionDescription::LONGEST],
        ]);
        $is = $request->string('is')->toString();
        if ($is === 'declined' || $is === 'ended') {
            $live->end($seat, $talk, $is);

            return response()->json([]);
        }
        abort_unless(config()->boolean('crag.live_talk'), 409, __('Talking live is off here.'));
        try {
            $isOn = $is === 'accepted'
                ? $live->accept($seat, $talk)
                : $live->offer($seat, $talk, $request->string('sdp')->toString());
        } catch (UnusableDescription $problem) {
            abort(422, __($problem->getMessage()));
        }
        abort_unless($isOn, 409, __('That talk is over.'));

        return response()->json(LiveTalk::ways());
    }
}
