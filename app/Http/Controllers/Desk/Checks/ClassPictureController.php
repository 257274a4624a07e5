<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Checks;

use App\Http\Pages\Deeds;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Checks\ClassOverview;
use App\Sessions\Checks\KeepGroups;
use App\Sessions\Room\Presence;
use Crag\Groups\Basis;
use Crag\Groups\Grouping;
use Crag\Groups\InvalidWish;
use Crag\Groups\Wishes;
use Crag\Session\Rules\Deed;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The class picture, and the next groups that follow from it. */
final class ClassPictureController
{
    public function show(Request $request, LiveSession $session): View
    {
        return view('desk.checks.picture-body', [
            'session' => $session,
            'stand' => ClassOverview::of($session),
            'deeds' => Deeds::of($request, $session),
        ]);
    }

    /** Proposes groups of those who are here; nothing is kept yet. */
    public function groups(Request $request, LiveSession $session, Presence $presence): View
    {
        $request->validate([
            'size' => ['required', 'integer', 'min:'.Grouping::LEAST, 'max:'.Grouping::MOST],
            'way' => ['required', Rule::enum(Basis::class)],
            'together' => ['nullable', 'string', 'max:2000'],
            'apart' => ['nullable', 'string', 'max:2000'],
            'absent' => ['boolean'],
        ]);
        $stand = ClassOverview::of($session);
        $here = $stand->seats->filter(
            static fn (Seat $seat): bool => $request->boolean('absent') || $presence->isHere($seat),
        );
        $students = $stand->students(array_values($here->map(static fn (Seat $seat): string => $seat->id)->all()));
        try {
            $names = $stand->seats->pluck('name', 'id')->all();
            $together = Wishes::read($request->string('together')->toString(), $names)->wishes;
            $apart = Wishes::read($request->string('apart')->toString(), $names)->pairs();
            $groups = Grouping::of(
                $students,
                $request->integer('size'),
                Basis::from($request->string('way')->toString()),
                $together,
                $apart,
                random_int(0, PHP_INT_MAX),
            );
        } catch (InvalidWish $problem) {
            abort(422, __($problem->getMessage()));
        }

        return view('desk.checks.groups', [
            'groups' => $groups,
            'seats' => $stand->seats->keyBy('id'),
            'left' => $stand->seats->count() - count($students),
            'places' => $session->group_places ?? [],
            'mayShow' => Deeds::of($request, $session)->may(Deed::ChooseScreen),
        ]);
    }

    /** They hold for hand-outs from now on, and for the class list where there is one. */
    public function keep(Request $request, LiveSession $session, KeepGroups $keep): JsonResponse
    {
        $request->validate([
            'groups' => ['required', 'array', 'max:100'],
            'groups.*' => ['array'],
            'groups.*.*' => ['string'],
            'places' => ['array', 'max:100'],
            'places.*' => ['nullable', 'string', 'max:40'],
        ]);
        $n = $keep(
            $session,
            array_values(
                array_map(
                    static fn (mixed $group): array => array_values(array_filter((array) $group, is_string(...))),
                    $request->array('groups'),
                ),
            ),
            array_values(
                array_map(
                    static fn (mixed $place): string => is_string($place) ? $place : '',
                    $request->array('places'),
                ),
            ),
        );

        return response()->json([
            'said' => trans_choice(
                '{0} No groups any more.|{1} Saved :count group: choose it when you hand out.|[2,*] Saved :count groups: choose one when you hand out.',
                $n,
            ),
        ]);
    }
}
