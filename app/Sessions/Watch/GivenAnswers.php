<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use Crag\Canvas\Log\OperationKind;
use Crag\Practice\PracticeSheet;
use Crag\Prompt\Question\Question;
use Crag\Watch\AnswerGroups;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a class answers to the questions of a prompt. */
final class GivenAnswers
{
    /**
     * Equal ones together.
     *
     * @param  Collection<int, Seat>  $seats
     * @param  Collection<array-key, Canvas>  $canvases  by seat
     * @param  list<string>  $unreadable  gets the seats whose answers cannot be read
     */
    public static function to(
        Prompt $prompt,
        Collection $seats,
        Collection $canvases,
        array &$unreadable = [],
    ): AnswerGroups {
        if ($prompt->value()->common() === []) {
            return AnswerGroups::among([]);
        }
        $rows = [];
        foreach (
            DB::table('operations')
                ->whereIn('canvas_id', $canvases->pluck('id'))
                ->whereRaw("kind in ('answer', 'fresh', 'give_back')")
                ->orderBy('n')
                ->get(['canvas_id', 'kind', 'body']) as $row
        ) {
            $rows[(string) $row->canvas_id][] = ['kind' => (string) $row->kind, 'body' => (string) $row->body];
        }
        $given = [];
        $asksPieces = $prompt->value()->asksForStates();
        foreach ($seats as $seat) {
            $canvas = $canvases->get($seat->id);
            $of = $canvas === null ? null : $rows[$canvas->id] ?? ($asksPieces ? [] : null);
            if ($canvas === null || $of === null) {
                continue;
            }
            array_push(
                $given,
                ...EachSeat::read(
                    $seat->id,
                    static fn (): array => self::ofOne($prompt, $seat, $canvas, $of),
                    static function () use ($seat, &$unreadable): array {
                        $unreadable[] = $seat->id;

                        return [];
                    },
                ),
            );
        }
        $answers = AnswerGroups::among(self::answered($given));
        foreach ($answers->unreadable as $id => $fault) {
            EachSeat::log($id, $fault);
            $unreadable[] = $id;
        }

        return $answers;
    }

    /**
     * @param  list<array{kind: string, body: string}>  $rows
     * @return list<array{string, Question, mixed}>
     */
    private static function ofOne(Prompt $prompt, Seat $seat, Canvas $canvas, array $rows): array
    {
        // Answers that were put away with the rest are found in the scene alone.
        $isTyped = array_unique(array_column($rows, 'kind')) === [OperationKind::Answer->value] &&
            ! $prompt->value()->asksForStates();
        $latest = $isTyped ? self::latest($rows) : [];
        $given = [];
        foreach ($prompt->forSeat($seat)->questions as $question) {
            $answer = $isTyped ? $latest[$question->id] ?? null : $canvas->scene()->answerTo($question);
            // Of a practice sheet it is counted how many are right: PracticeWork.
            if ($answer !== null && ! PracticeSheet::isTask($question)) {
                $given[] = [$seat->id, $question, $answer];
            }
        }

        return $given;
    }

    /**
     * An answer that was emptied is none.
     *
     * @param  list<array{string, Question, mixed}>  $given
     * @return list<array{string, Question, mixed}>
     */
    private static function answered(array $given): array
    {
        return array_values(
            array_filter($given, static fn (array $one): bool => trim($one[1]->asked->written($one[2])) !== ''),
        );
    }

    /**
     * @param  list<array{kind: string, body: string}>  $rows  answers alone, in order
     * @return array<string, mixed> by question
     */
    private static function latest(array $rows): array
    {
        $latest = [];
        foreach ($rows as $row) {
            $body = json_decode($row['body'], true, flags: JSON_THROW_ON_ERROR);
            $latest[$body['question']] = $body['value'] ?? null;
        }

        return $latest;
    }
}
