<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Maths\Algebra\Quantity;
use Crag\Maths\Comparing\Outcome;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;
use Crag\Watch\AnswerGroup;
use Crag\Watch\AnswerGroups;

/**
 * Counted answers to one question. Choices and the steps of a scale are counted in their own order, those that nobody
 * took too; typed answers stand together where the core compares them as equal, the most frequent first. Numbers have
 * a middle one (the lower of two) and their places on a line, in base units; words of short texts are counted without
 * regard to case.
 */
final readonly class Tally
{
    private const SHORTEST_WORD = 3;

    private const MOST_WORDS = 40;

    /**
     * @param  int  $answered  how many have answered
     * @param  list<Bar>  $bars
     * @param  ?string  $middle  the median, as it was written; of a scale its mean, with one decimal
     * @param  list<array{float, string, int}>  $line  numbers in base units, in order: where, how it was written, how
     *      many
     * @param  array<string, int>  $words  how often each word occurs, the most frequent first
     */
    private function __construct(
        public int $answered,
        public array $bars,
        public ?string $middle,
        public array $line,
        public array $words,
    ) {
    }

    /** @param  array<array-key, mixed>  $answers  by voter, as {@see \Crag\Prompt\Question\Asked::read} took them */
    public static function of(Question $question, array $answers): self
    {
        $answers = array_filter(
            $answers,
            static fn (mixed $answer): bool => trim($question->asked->written($answer)) !== '',
        );
        $kind = $question->asked->kind();
        $bars = match ($kind) {
            QuestionKind::Choice, QuestionKind::Choices => self::choices($question, $answers),
            QuestionKind::Scale => self::steps($question, $answers),
            default => self::equal($question, $answers),
        };
        $line = $kind === QuestionKind::Number ? self::line($bars) : [];

        return new self(
            count($answers),
            $bars,
            $kind === QuestionKind::Scale ? self::mean($answers) : self::median($line),
            $line,
            $kind === QuestionKind::Text ? self::words($question, $answers) : [],
        );
    }

    /** How many are right, where there is right and wrong. */
    public function right(): ?int
    {
        $judged = array_filter($this->bars, static fn (Bar $bar): bool => $bar->outcome !== null);

        return $judged === []
            ? null
            : array_sum(
                array_map(static fn (Bar $bar): int => $bar->outcome === Outcome::Right ? $bar->count() : 0, $judged),
            );
    }

    /**
     * @param  array<array-key, mixed>  $answers
     * @return list<Bar>
     */
    private static function choices(Question $question, array $answers): array
    {
        $fields = $question->asked->toArray();
        $options = is_array($fields['options']) ? $fields['options'] : [];
        $right = is_array($fields['right']) ? $fields['right'] : [];
        $bars = [];
        foreach ($options as $i => $option) {
            $id = is_array($option) ? $option['id'] ?? null : null;
            $words = is_array($option) && is_string($option['words'] ?? null) ? $option['words'] : '';
            $voters = array_keys(
                array_filter(
                    $answers,
                    static fn (mixed $answer): bool => in_array($id, is_array($answer) ? $answer : [$answer], true),
                ),
            );
            $outcome = $right === [] ? null : (in_array($id, $right, true) ? Outcome::Right : Outcome::Wrong);
            $bars[] = new Bar(
                $words === '' ? (string) ((int) $i + 1) : $words,
                $outcome,
                array_map(strval(...), $voters),
            );
        }

        return $bars;
    }

    /**
     * @param  array<array-key, mixed>  $answers
     * @return list<Bar>
     */
    private static function steps(Question $question, array $answers): array
    {
        $fields = $question->asked->toArray();
        $bars = [];
        for ($step = is_int($fields['from']) ? $fields['from'] : 1; $step <= $fields['to']; $step++) {
            $bars[] = new Bar((string) $step, null, array_map(strval(...), array_keys($answers, $step, true)));
        }

        return $bars;
    }

    /**
     * @param  array<array-key, mixed>  $answers
     * @return list<Bar>
     */
    private static function equal(Question $question, array $answers): array
    {
        $given = [];
        foreach ($answers as $voter => $answer) {
            $given[] = [(string) $voter, $question, $answer];
        }

        return array_map(
            static fn (AnswerGroup $group): Bar => new Bar($group->written, $group->outcome, $group->seats),
            AnswerGroups::among($given)->groups,
        );
    }

    /**
     * @param  list<Bar>  $bars
     * @return list<array{float, string, int}>
     */
    private static function line(array $bars): array
    {
        $line = [];
        foreach ($bars as $bar) {
            try {
                $line[] = [
                    Quantity::read($bar->label)->inBase()->approximated()->toFloat(),
                    $bar->label,
                    $bar->count(),
                ];
            } catch (UnreadableMaths) {
                // What is no number has no place on a line.
            }
        }
        usort($line, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $line;
    }

    /** @param  list<array{float, string, int}>  $line */
    private static function median(array $line): ?string
    {
        $half = intdiv(array_sum(array_column($line, 2)) + 1, 2);
        foreach ($line as [, $written, $count]) {
            $half -= $count;
            if ($half <= 0) {
                return $written;
            }
        }

        return null;
    }

    /** @param  array<array-key, mixed>  $answers */
    private static function mean(array $answers): ?string
    {
        $steps = array_filter($answers, is_int(...));

        return $steps === [] ? null : number_format(array_sum($steps) / count($steps), 1);
    }

    /**
     * @param  array<array-key, mixed>  $answers
     * @return array<string, int>
     */
    private static function words(Question $question, array $answers): array
    {
        $counts = [];
        foreach ($answers as $answer) {
            preg_match_all(
                '/[\p{L}\p{N}][\p{L}\p{M}\p{N}\'’-]*/u',
                mb_strtolower($question->asked->written($answer)),
                $found,
            );
            // Whoever says a word twice says it once.
            foreach (array_unique($found[0]) as $word) {
                if (mb_strlen($word) >= self::SHORTEST_WORD) {
                    $counts[$word] = ($counts[$word] ?? 0) + 1;
                }
            }
        }
        uksort(
            $counts,
            static fn (int|string $a, int|string $b): int => [$counts[$b], (string) $a] <=> [$counts[$a], (string) $b],
        );
        $words = [];
        foreach (array_slice($counts, 0, self::MOST_WORDS, true) as $word => $count) {
            $words[(string) $word] = $count;
        }

        return $words;
    }
}
