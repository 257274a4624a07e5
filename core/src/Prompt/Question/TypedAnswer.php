<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\UnreadableFields;

/** What answers that are typed have in common. */
trait TypedAnswer
{
    public function forStudent(string $seed): array
    {
        return [];
    }

    public function assets(): array
    {
        return [];
    }

    public function read(mixed $answer): mixed
    {
        if (
            ! is_string($answer) ||
            ! mb_check_encoding($answer, 'UTF-8') ||
            mb_strlen($answer) > Question::LONGEST_ANSWER
        ) {
            throw UnreadableFields::badValue(
                'value',
                'is no answer of at most '.Question::LONGEST_ANSWER.' characters',
            );
        }

        return trim($answer);
    }

    public function written(mixed $answer): string
    {
        return is_string($answer) ? $answer : '';
    }
}
