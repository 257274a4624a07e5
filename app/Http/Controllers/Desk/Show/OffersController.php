<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Show;

use App\Http\Controllers\Screen\ClassScreenController;
use App\Http\CurrentRole;
use App\Http\Pages\Deeds;
use App\Models\LiveSession;
use App\Models\Show\Offer;
use App\Records\PrintBoard;
use App\Sessions\Show\LineUp;
use App\Sessions\Show\Offering;
use App\Sessions\Show\VoteOnOffers;
use Crag\Session\Rules\Deed;
use Crag\Session\Screen\OfferBoard;
use Crag\Session\Screen\OfferState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What students offer, and the page on which it stands. */
final class OffersController
{
    public function __construct(private readonly Offering $offering)
    {
    }

    public function show(Request $request, LiveSession $session): View
    {
        return view('desk.show.offers-body', [
            'session' => $session,
            'deeds' => Deeds::of($request, $session),
            'offers' => $session->offers()->with('seat', 'canvas.prompt')->get(),
        ]);
    }

    public function picture(LiveSession $session, Offer $offer): Response
    {
        return ClassScreenController::part($session, $offer);
    }

    public function accept(LiveSession $session, Offer $offer): JsonResponse
    {
        $this->offering->accept($session, $offer);

        return response()->json([]);
    }

    public function decline(LiveSession $session, Offer $offer): JsonResponse
    {
        $this->offering->decline($session, $offer);

        return response()->json([]);
    }

    /** Another column, or another place in its own. */
    public function arrange(Request $request, LiveSession $session, Offer $offer): JsonResponse
    {
        $request->validate([
            'column' => ['required', 'integer', 'min:0', 'max:'.$session->board->lastColumn()],
            'at' => ['integer', 'min:0', 'max:'.OfferBoard::MOST],
        ]);
        $this->offering->place(
            $session,
            $offer,
            $request->integer('column'),
            $request->has('at') ? $request->integer('at') : null,
        );

        return response()->json([]);
    }

    /** The whole canvas among those that are to be talked about. */
    public function lineUp(Request $request, LiveSession $session, Offer $offer, LineUp $lineUp): JsonResponse
    {
        $canvas = $offer->canvas;
        CurrentRole::check($request, $session, Deed::LineUp, $canvas->prompt);
        $lineUp->add($session, [[$canvas, $offer->page]], false);

        return response()->json(['said' => __('It’s in the line-up.')]);
    }

    /** One to four columns with their headings; whether everything that is offered stands there at once. */
    public function board(Request $request, LiveSession $session): JsonResponse
    {
        $request->validate([
            'headings' => ['array', 'min:1', 'max:'.OfferBoard::MOST_COLUMNS],
            'headings.*' => ['nullable', 'string', 'max:'.OfferBoard::LONGEST_HEADING],
            'open' => ['boolean'],
            'order' => ['array', 'max:'.OfferBoard::MOST_COLUMNS],
            'order.*' => ['integer'],
        ]);
        if ($request->has('order')) {
            $this->offering->columns($session, array_map(intval(...), array_values($request->array('order'))));
        }
        $headings = $request->has('headings')
            ? array_values(array_map(static fn (mixed $one): string => trim((string) $one), $request->array('headings')))
            : null;
        $this->offering->arrange($session, $headings, $request->has('open') ? $request->boolean('open') : null);

        return response()->json([]);
    }

    /** The class votes on what stands on the page, by its numbers. */
    public function vote(Request $request, LiveSession $session, VoteOnOffers $vote): JsonResponse
    {
        $request->validate(['votes' => ['required', 'integer', 'min:1', 'max:'.VoteOnOffers::MOST]]);
        $vote($session, $request->integer('votes')) ?? abort(422, __('Accept two offers or more first.'));

        return response()->json(['said' => __('The vote is open. Press / to show how it went.')]);
    }

    public function pdf(LiveSession $session, PrintBoard $print): BinaryFileResponse
    {
        abort_if($session->offers()->where('state', OfferState::Accepted)->doesntExist(), 404);

        return response()->download($print($session), "{$session->fileName()}-board.pdf")->deleteFileAfterSend();
    }
}
