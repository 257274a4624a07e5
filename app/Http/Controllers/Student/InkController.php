<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Models\Canvas;
use App\Models\Seat;
use App\Sessions\Work\ReadInk;
use Crag\Handwriting\InLatex;
use Crag\Handwriting\WrittenLine;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\Spot;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a student wrote by hand is read for them; it counts once they say that it was read right. */
final class InkController
{
    public function read(Request $request, Seat $seat, ReadInk $read): JsonResponse
    {
        $line = self::line($request, $seat, $read);

        return response()->json($line === null ? ['text' => ''] : [
            'text' => $line->text,
            'sure' => $line->isSure,
            'others' => $line->others,
            'latex' => InLatex::of($line->text),
        ]);
    }

    /** Its writer says what it is. */
    public function learn(Request $request, Seat $seat, ReadInk $read): JsonResponse
    {
        $request->validate(['says' => ['required', 'string', 'max:'.Question::LONGEST_ANSWER]]);
        $line = self::line($request, $seat, $read);
        if ($line !== null) {
            $read->learn($seat, $line, $request->string('says')->toString());
        }

        return response()->json([]);
    }

    private static function line(Request $request, Seat $seat, ReadInk $read): ?WrittenLine
    {
        $request->validate([
            'canvas' => ['required', 'string'],
            'question' => ['nullable', 'string'],
            'strokes' => ['nullable', 'array', 'max:50'],
            'strokes.*' => ['string', 'max:64'],
        ]);
        /** @var Canvas $canvas */
        $canvas = $seat->worksOn()->findOrFail($request->string('canvas')->toString());
        if ($request->filled('strokes')) {
            $strokes = array_values(array_filter($request->array('strokes'), is_string(...)));

            return $read->strokes($seat, $canvas, $strokes);
        }

        return $read->inBox($seat, $canvas, self::spot($seat, $canvas, $request->string('question')->toString()));
    }

    private static function spot(Seat $seat, Canvas $canvas, string $id): Spot
    {
        foreach ($canvas->prompt->forSeat($seat)->questions as $question) {
            if ($question->id === $id && $question->isByHand() && $question->spot !== null) {
                return $question->spot;
            }
        }
        abort(404);
    }
}
