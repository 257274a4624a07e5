<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Watch;

use App\Models\LiveSession;
use App\Models\Pick;
use App\Sessions\Watch\PickStudent;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A fair random student. */
final class PickController
{
    public function __construct(private readonly PickStudent $pick)
    {
    }

    public function draw(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate(['seats' => ['nullable', 'array'], 'seats.*' => ['string']]);
        $pick = ($this->pick)(
            $session,
            $request->input('seats') === null
                ? null
                : array_values($session->people($request->array('seats'))->modelKeys()),
        );
        abort_if($pick === null, 422, __('Nobody is here to pick.'));

        return response()->json(['pick' => $pick->id, 'seat' => $pick->seat_id, 'among' => $pick->among]);
    }

    public function undo(LiveSession $session, Pick $pick): JsonResponse
    {
        $this->pick->undo($session, $pick);

        return response()->json(['said' => __('Skipped. :name can be picked again.', ['name' => $pick->seat->name])]);
    }
}
