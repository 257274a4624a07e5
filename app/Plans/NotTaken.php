<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Prompt;
use Crag\Asks\Card;
use Crag\Checks\Aspect;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\InvalidPrompt;

/** Why a prompt's field was not taken, in words for whom typed it; of a list, which of its lines were not. */
final readonly class NotTaken
{
    /** Longer lists are no work of a hand: they are refused whole. */
    private const MOST_LINES = 300;

    /**
     * @param  list<int>  $lines  places in the list that was given; none where it is no list, or no line alone is at
     *      fault
     */
    private function __construct(public string $message, public array $lines)
    {
    }

    public static function of(?Prompt $prompt, string $field, mixed $to, UnreadableFields|InvalidPrompt $problem): self
    {
        if ($prompt === null || ! is_array($to) || ! array_is_list($to) || count($to) > self::MOST_LINES) {
            return new self(self::sentence($field, $problem), []);
        }
        $value = $prompt->value()->toArray();
        [$good, $lines, $sentences] = [[], [], []];
        foreach ($to as $i => $line) {
            try {
                PlanPrompt::read(new Fields([$field => [...$good, $line]] + $value));
                $good[] = $line;
            } catch (UnreadableFields|InvalidPrompt $problem) {
                $lines[] = $i;
                $sentences[] = self::line($field, $i, $line, count($good), $problem);
            }
        }

        return new self(implode(' ', array_unique($sentences)), $lines);
    }

    private static function sentence(string $field, UnreadableFields|InvalidPrompt $problem): string
    {
        return match ($field) {
            'points' => __('Points can be whole or half, from 0 to 100.'),
            'minutes' => __('Give a whole number of minutes, from 1 to 600.'),
            'look_for' => __('Each box holds 12 lines of up to 200 characters.'),
            default => __($problem->getMessage()),
        };
    }

    private static function line(
        string $field,
        int $i,
        mixed $line,
        int $before,
        UnreadableFields|InvalidPrompt $problem,
    ): string {
        [$most, $words] = match ($field) {
            'asks' => [PlanPrompt::MOST_ASKS, ''],
            'aspects' => [Aspect::MOST, is_array($line) && is_string($line['name'] ?? null) ? $line['name'] : ''],
            default => [PlanPrompt::MOST_QUESTIONS, ''],
        };
        if ($before >= $most) {
            return __('There’s room for :n lines.', ['n' => $most]);
        }

        return match ($field) {
            'asks' => __('Card :n: :problem', ['n' => $i + 1, 'problem' => self::asked($line)]),
            'aspects' => __(
                '“:line”: a different name of up to 40 characters, then two to six levels with commas between.',
                ['line' => mb_strimwidth($words, 0, 60, '…')],
            ),
            'questions' => __('Question :n: :problem', ['n' => $i + 1, 'problem' => __($problem->getMessage())]),
            'tasks' => __('Task :n: :problem', ['n' => $i + 1, 'problem' => __($problem->getMessage())]),
            default => __('You can have up to 12, each up to 200 characters.'),
        };
    }

    private static function asked(mixed $line): string
    {
        try {
            Card::one($line);
        } catch (UnreadableFields $problem) {
            return __($problem->getMessage());
        }

        return __('That isn’t a question students can answer.');
    }
}
