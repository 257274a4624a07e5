<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Models\Canvas;
use App\Models\Seat;
use Crag\Checks\Feedback;
use Crag\Checks\Judgement;

/** What a student sees of the checks on their work. */
final class FeedbackForStudent
{
    /**
     * @return list<array{
     *     canvas: string, n: int, level: ?int, words: string, points: ?float, most: ?float, note: string,
     * }>
     *      in the order of the prompts
     */
    public static function by(Seat $seat): array
    {
        $session = $seat->session;
        $feedback = $session->settings->feedback;
        if ($feedback->isNothing()) {
            return [];
        }
        $seen = [];
        foreach (
            $seat
                ->workedOn()
                ->with(['check', 'prompt'])
                ->get()
                ->sortBy('prompt.n') as $canvas
        ) {
            $judgement = $canvas->check?->judgement() ?? Judgement::nothing();
            $isOver = $canvas->prompt->state->isOver($session->pace, $canvas->prompt_id === $session->prompt_id);
            if ($judgement->isEmpty() || ! $feedback->isDue($isOver, ! $session->isRunning())) {
                continue;
            }
            $prompt = $canvas->prompt->value();
            $one = [
                'canvas' => $canvas->id,
                'n' => $canvas->prompt->n,
                'prompt' => $canvas->prompt->title(),
                'level' => $feedback->shows('level') ? $canvas->check?->level?->value : null,
                'words' => $feedback->shows('level') ? self::words($judgement, $prompt->aspects()) : '',
                'points' => $feedback->shows('points') ? $judgement->points : null,
                'most' => $feedback->shows('points') ? $prompt->points : null,
                'note' => $feedback->shows('note') ? $judgement->note : '',
            ];
            if (! ($one['words'] === '' && $one['points'] === null && $one['note'] === '')) {
                $seen[] = $one;
            }
        }

        return $seen;
    }

    /** What students see and when, for the teacher. */
    public static function said(Feedback $feedback): string
    {
        if ($feedback->isNothing()) {
            return __('Students don’t see checks (see Settings).');
        }
        $what = implode(
            ', ',
            array_map(
                static fn (string $one): string => match ($one) {
                    'level' => __('the level'),
                    'note' => __('the note'),
                    default => __('points'),
                },
                $feedback->what,
            ),
        );

        return match ($feedback->when) {
            Feedback::AT_ONCE => __('The student sees at once: :what.', ['what' => $what]),
            Feedback::WITH_PROMPT => __('The student sees when the prompt is over: :what.', ['what' => $what]),
            default => __('The student sees at the end of the session: :what.', ['what' => $what]),
        };
    }

    /** @param  list<\Crag\Checks\Aspect>  $aspects */
    private static function words(Judgement $judgement, array $aspects): string
    {
        return implode(
            ', ',
            array_map(static fn (string $part): string => __($part), explode(', ', $judgement->words($aspects))),
        );
    }
}
