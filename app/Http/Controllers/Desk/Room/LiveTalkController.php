<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Room;

use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Sessions\Room\LiveTalk;
use App\Sessions\Room\Presence;
use Crag\Formats\SessionDescription;
use Crag\Formats\UnusableDescription;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A teacher talks with one student from page to page. */
final class LiveTalkController
{
    public function __construct(private readonly LiveTalk $live)
    {
    }

    public function ask(Request $request, LiveSession $session, Presence $presence): JsonResponse
    {
        abort_unless(config()->boolean('crag.live_talk'), 409, __('Talking live is off here.'));
        $request->validate(['seat' => ['required', 'string']]);
        $seat = $session->seated()->findOrFail($request->input('seat'));
        $seat->setRelation('session', $session);
        abort_unless($presence->isHere($seat), 409, __(':name’s page isn’t open right now.', ['name' => $seat->name]));
        $id = $this->live->ask($seat, CurrentTeacher::found($request));
        abort_if(
            $id === null,
            409,
            __(':name is already being asked, or talks with a teacher.', ['name' => $seat->name]),
        );

        return response()->json(['id' => $id] + LiveTalk::ways());
    }

    /** How this desk can be reached, or that it is over. */
    public function tell(Request $request, LiveSession $session, string $talk): JsonResponse
    {
        $request->validate([
            'seat' => ['required', 'string'],
            'sdp' => ['nullable', 'string', 'max:'.SessionDescription::LONGEST],
        ]);
        $seat = $session->seats()->findOrFail($request->input('seat'));
        $seat->setRelation('session', $session);
        abort_unless(
            LiveTalk::isBy($seat, $talk, CurrentTeacher::found($request)),
            409,
            __('That talk is over.'),
        );
        if ($request->input('sdp') === null) {
            $this->live->end($seat, $talk);

            return response()->json([]);
        }
        try {
            $isOn = $this->live->answer($seat, $talk, $request->string('sdp')->toString());
        } catch (UnusableDescription $problem) {
            abort(422, __($problem->getMessage()));
        }
        abort_unless($isOn, 409, __('That talk is over.'));

        return response()->json([]);
    }
}
