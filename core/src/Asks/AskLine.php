<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Choosing;
use Crag\Prompt\Question\Question;

/**
 * A quick ask written in one line: words | answer | time. The answer is
 *   80 N                 a number with its unit; ? for a number without a right one
 *   maths: 2x + 1        a maths answer
 *   up; *down; neither   choices, a star before those that are right; several stars for several choices
 *   text: pivot / hinge  short text, any of these right; text alone for none
 *   scale, sure          a scale from 1 to 5; how sure somebody is
 * and the time is 20 s or 2 min. Answer and time may be left out.
 */
final readonly class AskLine
{
    public const LONGEST = 300;

    public const LEAST_SECONDS = 5;

    public const LONGEST_SECONDS = 3600;

    private function __construct(public Question $question, public ?int $seconds, public string $line)
    {
    }

    /** @throws UnreadableFields when it is no such line: its message says what is wrong */
    public static function read(string $line): self
    {
        if (mb_strlen($line) > self::LONGEST) {
            throw UnreadableFields::saying('A line can be '.self::LONGEST.' characters long.');
        }
        $parts = array_map(trim(...), explode('|', $line));
        if (count($parts) > 3) {
            throw UnreadableFields::saying('Too many bars: a line is question | answer | seconds.');
        }
        [$words, $answer, $time] = $parts + ['', '', ''];
        // A time may stand where there is no answer to give.
        $seconds = self::seconds($time === '' && self::isTime($answer) ? $answer : $time);
        $answer = $time === '' && self::isTime($answer) ? '' : $answer;

        try {
            $question = Question::read(
                new Fields(['id' => 'ask', 'spot' => null, 'words' => $words] + self::asked($answer)),
            );
        } catch (UnreadableFields) {
            throw UnreadableFields::saying(
                'There can be up to '.Choosing::MOST_OPTIONS.' choices, and an answer is shorter than that.',
            );
        }

        return new self($question, $seconds, trim($line));
    }

    /** @return array<string, mixed> the rest of the question's JSON form */
    private static function asked(string $answer): array
    {
        $lower = mb_strtolower($answer);

        return match (true) {
            $lower === 'scale' => ['kind' => 'scale', 'from' => 1, 'to' => 5, 'low' => '', 'high' => ''],
            $lower === 'sure' => ['kind' => 'scale', 'from' => 1, 'to' => 4, 'low' => 'guessed', 'high' => 'certain'],
            str_contains($answer, ';') => self::choices($answer),
            $answer === '' || $lower === 'text' => ['kind' => 'text', 'right' => []],
            str_starts_with($lower, 'text:') => [
                'kind' => 'text',
                'right' => array_values(
                    array_filter(
                        array_map(trim(...), explode('/', substr($answer, 5))),
                        static fn (string $one): bool => $one !== '',
                    ),
                ),
            ],
            str_starts_with($lower, 'maths:') => ['kind' => 'maths', 'right' => trim(substr($answer, 6))],
            default => ['kind' => 'number', 'right' => $answer === '?' ? '' : $answer],
        };
    }

    /** @return array<string, mixed> */
    private static function choices(string $answer): array
    {
        $options = $right = [];
        foreach (
            array_values(
                array_filter(array_map(trim(...), explode(';', $answer)), static fn (string $one): bool => $one !== ''),
            ) as $i => $choice
        ) {
            $options[] = ['id' => 'o'.($i + 1), 'words' => ltrim($choice, '* ')];
            if (str_starts_with($choice, '*')) {
                $right[] = 'o'.($i + 1);
            }
        }

        return [
            'kind' => count($right) > 1 ? 'choices' : 'choice',
            'options' => $options,
            'right' => $right,
            'shuffle' => false,
        ];
    }

    private static function isTime(string $text): bool
    {
        return preg_match('/\A\d+\s*(?:s|sec|min)\z/', $text) === 1;
    }

    private static function seconds(string $time): ?int
    {
        if ($time === '') {
            return null;
        }
        if (preg_match('/\A(\d{1,4})\s*(s|sec|min)\z/', $time, $found) !== 1) {
            throw UnreadableFields::saying('Write a time like 20 s or 2 min.');
        }
        $seconds = (int) $found[1] * ($found[2] === 'min' ? 60 : 1);
        if ($seconds < self::LEAST_SECONDS || $seconds > self::LONGEST_SECONDS) {
            throw UnreadableFields::saying('A time can be from 5 seconds to an hour.');
        }

        return $seconds;
    }
}
