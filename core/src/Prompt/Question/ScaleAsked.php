<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/** A step on a scale from one number to another. There is no right one. */
final readonly class ScaleAsked implements Asked
{
    private const LONGEST_WORDS = 60;

    private function __construct(private int $from, private int $to, private string $low, private string $high)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        $from = $fields->whole('from', 0, 1, 1);

        return new self(
            $from,
            $fields->whole('to', $from + 1, 10, 5),
            $fields->has('low') ? trim($fields->text('low', self::LONGEST_WORDS)) : '',
            $fields->has('high') ? trim($fields->text('high', self::LONGEST_WORDS)) : '',
        );
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Scale;
    }

    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'low' => $this->low, 'high' => $this->high];
    }

    public function forStudent(string $seed): array
    {
        return $this->toArray();
    }

    public function texts(): array
    {
        return [];
    }

    public function filled(Draw $draw): self
    {
        return $this;
    }

    public function hasKey(): bool
    {
        return false;
    }

    public function key(): string
    {
        return '';
    }

    public function read(mixed $answer): mixed
    {
        return is_int($answer) && $answer >= $this->from && $answer <= $this->to
            ? $answer
            : throw UnreadableFields::badValue('value', "is no step from {$this->from} to {$this->to}");
    }

    public function written(mixed $answer): string
    {
        return is_int($answer) ? "{$answer} / {$this->to}" : '';
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return $one === $other;
    }

    public function compare(mixed $answer): Verdict
    {
        return Verdict::wrong();
    }

    public function assets(): array
    {
        return [];
    }
}
