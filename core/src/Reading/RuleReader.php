<?php

declare(strict_types=1);

namespace Crag\Reading;

use Crag\Maths\Comparing\Outcome;
use Crag\Maths\Steps\Working;

/**
 * A set of rules, and nothing else: it compares answers as the core does, and looks up words among what was typed.
 *
 * - An answer that compares as right holds; one in another form, one that is not right, one that is not understood and
 * one that is
 *   not there are missing.
 * - A word to look for holds where it was typed, in any case, as a whole word or the beginning of one.
 * - A step to look for holds where at least half of its longer words were typed. Where nothing was typed at all,
 * nothing is said of
 *   words and steps: ink is not read.
 * - Of lines of working that were typed, the first that does not follow from the one before is pointed at.
 * - Fewer than three strokes and nothing typed is not much.
 * The question to think about comes from the first that applies: a slip that was typed, a step that does not follow, an
 * answer that is not right, a
 * word that is missing, and at last the prompt itself.
 */
final readonly class RuleReader implements Reader
{
    private const FEW_STROKES = 3;

    private const LONG_WORD = 4;

    public function name(): string
    {
        return 'From a set of rules: it compares answers and looks for words. It can’t read ink.';
    }

    public function read(Work $work): Reading
    {
        $holds = $missing = [];
        foreach ($work->answers as $one) {
            $point = self::ofAnswer($one);
            if ($one->verdict?->outcome === Outcome::Right) {
                $holds[] = $point;
            } else {
                if ($point !== null) {
                    $missing[] = $point;
                }
            }
        }
        $typed = $work->typed();
        $lines = $work->lines();
        $slip = Working::firstSlip(array_map(static fn (Typed $line): string => $line->text, $lines));
        if ($slip !== null) {
            $missing[] = self::ofStep($slip, $lines[$slip['at']]->where);
        }
        if (trim($typed) !== '') {
            foreach ($work->lookFor->words as $word) {
                if (self::has($typed, $word)) {
                    $holds[] = new Point('“:word” is mentioned.', 'It was typed.', ['word' => $word]);
                } else {
                    $missing[] = new Point('“:word” isn’t mentioned.', 'It wasn’t typed; it may be written in ink.', [
                        'word' => $word,
                    ]);
                }
            }
            foreach ($work->lookFor->steps as $step) {
                if (self::hasStep($typed, $step)) {
                    $holds[] = new Point('Step: :step', 'At least half of its words were typed.', ['step' => $step]);
                } else {
                    $missing[] = new Point('Step: :step', 'Fewer than half of its words were typed; it may be drawn.', [
                        'step' => $step,
                    ]);
                }
            }
        } elseif ($work->strokes < self::FEW_STROKES) {
            $missing[] = new Point('There isn’t much yet.', ':n strokes, and nothing typed.', ['n' => $work->strokes]);
        }

        return new Reading(array_values(array_filter($holds)), $missing, self::question($work, $typed, $slip));
    }

    /** @param  array{before: string, after: string, at: int, why: string}  $slip */
    private static function ofStep(array $slip, ?Where $where): Point
    {
        return $slip['at'] === 0
            ? new Point('“:after” doesn’t hold.', $slip['why'], ['after' => $slip['after']], $where)
            : new Point(
                '“:after” doesn’t follow from “:before”.',
                $slip['why'],
                ['before' => $slip['before'], 'after' => $slip['after']],
                $where,
            );
    }

    /** Whether a word was typed: as a whole word, or as the beginning of one. */
    public static function has(string $typed, string $word): bool
    {
        $word = mb_convert_case(trim($word), MB_CASE_FOLD, 'UTF-8');

        return $word !== '' && preg_match('/(?<![\p{L}\p{N}])'.preg_quote($word, '/').'/u', $typed) === 1;
    }

    private static function ofAnswer(Answered $one): ?Point
    {
        $values = ['answer' => $one->answer, 'asked' => $one->asked];
        if ($one->answer === '') {
            return new Point(
                $one->asked === '' ? 'A question isn’t answered yet.' : '“:asked” isn’t answered.',
                'The field is empty.',
                $values,
                $one->where,
            );
        }
        $why = $one->verdict->why ?? '';

        return match ($one->verdict?->outcome) {
            Outcome::Right => new Point(':answer is right.', 'It equals the right answer.', $values, $one->where),
            Outcome::OtherForm => new Point(
                ':answer has the right value, but not in the form you asked for.',
                $why === '' ? 'The value is right, but it should be in another form.' : $why,
                $values,
                $one->where,
            ),
            Outcome::Wrong => new Point(
                ':answer is not right yet.',
                $why === '' ? 'It doesn’t equal the right answer.' : $why,
                $values,
                $one->where,
            ),
            Outcome::Unreadable => new Point(
                ':answer can’t be read.',
                $why === '' ? 'It can’t be read.' : $why,
                $values,
                $one->where,
            ),
            // Where there is no right and wrong there is nothing to say.
            null => null,
        };
    }

    private static function hasStep(string $typed, string $step): bool
    {
        preg_match_all('/[\p{L}\p{N}]{'.self::LONG_WORD.',}/u', $step, $found);
        $there = array_filter($found[0], static fn (string $word): bool => self::has($typed, $word));

        return $found[0] !== [] && 2 * count($there) >= count($found[0]);
    }

    /** @param  ?array{before: string, after: string, at: int, why: string}  $step */
    private static function question(Work $work, string $typed, ?array $step): Point
    {
        foreach ($work->lookFor->slips as $slip) {
            if (self::hasStep($typed, $slip)) {
                return new Point(
                    'Have another look at this: :slip. Does it work here?',
                    'This common slip’s words were typed.',
                    ['slip' => $slip],
                );
            }
        }
        if ($step !== null) {
            return new Point(
                'Look again at the step to “:after”. What did you do there?',
                'It’s the first step that doesn’t follow.',
                ['after' => $step['after']],
            );
        }
        foreach ($work->answers as $one) {
            if ($one->verdict?->outcome === Outcome::Wrong) {
                return new Point(
                    'How could you find out in another way whether it is :answer?',
                    'The answer isn’t right yet.',
                    ['answer' => $one->answer],
                );
            }
        }
        foreach (trim($typed) === '' ? [] : $work->lookFor->words as $word) {
            if (! self::has($typed, $word)) {
                return new Point('What part does “:word” play here?', 'It was not named.', ['word' => $word]);
            }
        }

        return new Point(
            'What would change if one of the numbers were twice as big?',
            'Everything the rules look for is there.',
        );
    }
}
