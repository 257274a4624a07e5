<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;

/**
 * A few words, a chemical formula or the names of notes. Any of several answers is right; how strictly words are
 * compared is its {@see Wording}.
 */
final readonly class TextAsked implements Asked
{
    use TypedAnswer;

    private const MOST_RIGHT = 20;

    /** @param  list<string>  $right */
    private function __construct(private array $right, private Wording $wording, private TextReading $reads)
    {
    }

    /** @throws UnreadableFields */
    public static function of(Fields $fields): self
    {
        $right = [];
        foreach ($fields->list('right', 0, self::MOST_RIGHT) as $one) {
            $text =
                is_string($one) && mb_check_encoding($one, 'UTF-8') && mb_strlen($one) <= Question::LONGEST_ANSWER
                    ? trim($one)
                    : throw UnreadableFields::badValue('right', 'holds something that is no answer');
            if ($text !== '') {
                $right[] = $text;
            }
        }

        $wording = $fields->isNull('loose') ? Wording::strict() : Wording::read($fields->object('loose'));

        $reads = $fields->isNull('reads')
            ? TextReading::Words
            : TextReading::from($fields->oneOf('reads', array_column(TextReading::cases(), 'value')));

        return new self($right, $wording, $reads);
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Text;
    }

    public function toArray(): array
    {
        return ['right' => $this->right] +
            ($this->wording->isStrict() ? [] : ['loose' => $this->wording->toArray()]) +
            ($this->reads === TextReading::Words ? [] : ['reads' => $this->reads->value]);
    }

    public function texts(): array
    {
        return $this->right;
    }

    public function filled(Draw $draw): self
    {
        return new self(array_map($draw->fill(...), $this->right), $this->wording, $this->reads);
    }

    public function hasKey(): bool
    {
        return $this->right !== [];
    }

    public function key(): string
    {
        return implode(' / ', $this->right);
    }

    public function isSame(mixed $one, mixed $other): bool
    {
        return $this->reads->isSame($this->wording, $this->written($one), $this->written($other));
    }

    public function compare(mixed $answer): Verdict
    {
        return $this->reads->compare($this->right, $this->wording, $this->written($answer));
    }
}
