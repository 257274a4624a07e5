<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/** A box to tick. The answer is the word below, or none. */
final readonly class TickAsked implements Asked
{
    public const TICKED = 'ticked';

    /** What the teacher may say of it: it belongs ticked, it belongs empty, or there is no right and wrong. */
    private const RIGHTS = ['', self::TICKED, 'empty'];

    private function __construct(private string $right)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        return new self($fields->oneOf('right', self::RIGHTS, ''));
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Tick;
    }

    public function toArray(): array
    {
        return ['right' => $this->right];
    }

    public function forStudent(string $seed): array
    {
        return [];
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
        return $this->right !== '';
    }

    public function key(): string
    {
        return $this->right === self::TICKED ? '✓' : ($this->right === '' ? '' : '—');
    }

    public function read(mixed $answer): mixed
    {
        return $answer === self::TICKED ? $answer : throw UnreadableFields::missing('value');
    }

    public function written(mixed $answer): string
    {
        return $answer === self::TICKED ? '✓' : '';
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return $one === $other;
    }

    public function compare(mixed $answer): Verdict
    {
        return $answer === $this->right ? Verdict::right() : Verdict::wrong();
    }

    public function assets(): array
    {
        return [];
    }
}
