<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Asks;

use App\Http\ReadsCards;
use App\Models\LiveSession;
use App\Models\Teachers\Plan;
use Crag\Asks\AskLine;
use Crag\Asks\Card;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Lines that were pasted become cards; nothing is kept. */
final class CardsController
{
    public function desk(Request $request, LiveSession $session): JsonResponse
    {
        return self::read($request);
    }

    public function plan(Request $request, Plan $plan): JsonResponse
    {
        return self::read($request);
    }

    private static function read(Request $request): JsonResponse
    {
        $request->validate(['lines' => ['required', 'string', 'max:'.Card::MOST * AskLine::LONGEST]]);

        return response()->json([
            'cards' => array_map(
                static fn (Card $card): array => $card->toArray(),
                ReadsCards::fromLines($request->string('lines')->toString()),
            ),
        ]);
    }
}
