<?php

declare(strict_types=1);

namespace Crag\Watch;

use Crag\Maths\Comparing\Outcome;
use Crag\Prompt\Question\Question;
use Throwable;

/**
 * A class's answers, equal ones together: as {@see \Crag\Prompt\Question\Asked::isSame} compares them where the
 * question is the same for both. Where each student has other values, answers that are right stand together, and
 * others when they are written alike.
 */
final readonly class AnswerGroups
{
    /**
     * @param  list<AnswerGroup>  $groups  question by question, the most frequent first
     * @param  array<string, Throwable>  $unreadable  what went wrong at one student's answer, by seat
     */
    private function __construct(public array $groups, public array $unreadable)
    {
    }

    /**
     * @param  iterable<array{string, Question, mixed}>  $answers  the seat, the question as this student has it, and
     *      the answer
     */
    public static function among(iterable $answers): self
    {
        /**
         * @var array<string, list<array{
         *     question: Question, answer: mixed, outcome: ?Outcome, seats: non-empty-list<string>,
         *     written: non-empty-array<string, string>,
         * }>> $found
         */
        $found = [];
        $unreadable = [];
        foreach ($answers as [$seat, $question, $answer]) {
            $written = $question->asked->written($answer);
            $verdict = $question->compare($answer);
            $outcome = $verdict?->outcome;
            if ($verdict?->fault !== null) {
                $unreadable[$seat] = $verdict->fault;
            }
            $groups = $found[$question->id] ?? [];
            foreach ($groups as $i => $group) {
                if (
                    $group['outcome'] === $outcome &&
                    self::agree($group['question'], $group['answer'], $question, $answer, $outcome)
                ) {
                    $groups[$i]['seats'][] = $seat;
                    $groups[$i]['written'][$seat] = $written;
                    $found[$question->id] = $groups;

                    continue 2;
                }
            }
            $found[$question->id][] = [
                'question' => $question,
                'answer' => $answer,
                'outcome' => $outcome,
                'seats' => [$seat],
                'written' => [$seat => $written],
            ];
        }
        $all = [];
        foreach ($found as $id => $groups) {
            usort($groups, static fn (array $a, array $b): int => count($b['seats']) <=> count($a['seats']));
            foreach ($groups as $group) {
                $spellings = array_count_values($group['written']);
                $written = (string) array_search(max($spellings), $spellings, true);
                $all[] = new AnswerGroup(
                    (string) $id,
                    $written,
                    $group['outcome'],
                    $group['seats'],
                    array_filter($group['written'], static fn (string $one): bool => $one !== $written),
                );
            }
        }

        return new self($all, $unreadable);
    }

    /** @return list<AnswerGroup> the groups of one student's answers with an outcome */
    public function of(string $seat, Outcome $outcome): array
    {
        return array_values(
            array_filter(
                $this->groups,
                static fn (AnswerGroup $group): bool => $group->outcome === $outcome &&
                    in_array($seat, $group->seats, true),
            ),
        );
    }

    private static function agree(Question $one, mixed $first, Question $other, mixed $second, ?Outcome $outcome): bool
    {
        return $one->asked->key() === $other->asked->key()
            ? $one->isSame($first, $second)
            : $outcome === Outcome::Right || $one->asked->written($first) === $other->asked->written($second);
    }
}
