<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Crag\Prompt\Values\Draw;
use Normalizer;

/** A few words. Any of several answers is right; small and large letters, accents' spelling and spaces do not count. */
final readonly class TextAsked implements Asked
{
    use TypedAnswer;

    private const MOST_RIGHT = 20;

    /** @param  list<string>  $right */
    private function __construct(private array $right)
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

        return new self($right);
    }

    public function kind(): QuestionKind
    {
        return QuestionKind::Text;
    }

    public function toArray(): array
    {
        return ['right' => $this->right];
    }

    public function texts(): array
    {
        return $this->right;
    }

    public function filled(Draw $draw): self
    {
        return new self(array_map($draw->fill(...), $this->right));
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
        return self::plain($this->written($one)) === self::plain($this->written($other));
    }

    public function compare(mixed $answer): Verdict
    {
        $given = self::plain($this->written($answer));
        foreach ($this->right as $right) {
            if (self::plain($right) === $given) {
                return Verdict::right();
            }
        }

        return Verdict::wrong();
    }

    private static function plain(string $text): string
    {
        $normal = Normalizer::normalize($text, Normalizer::FORM_KC);
        $text = is_string($normal) ? $normal : $text;

        return mb_convert_case((string) preg_replace(['/\s+/u', '/[.!?]+$/u'], ['', ''], $text), MB_CASE_FOLD, 'UTF-8');
    }
}
