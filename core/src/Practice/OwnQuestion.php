<?php

declare(strict_types=1);

namespace Crag\Practice;

use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\FormKind;
use Crag\Prompt\Values\InvalidValues;
use Crag\Prompt\Values\Values;

/** One question of the teacher's own with values in braces, asked again and again with others. */
final readonly class OwnQuestion implements Family
{
    public const KEY = 'own';

    /** With more than so many draws the rest is left out. */
    private const DRAWS = 300;

    private function __construct(
        public string $words,
        public string $right,
        private bool $hasLetters,
        private Values $values,
    ) {
    }

    /**
     * @param  bool  $hasLetters  whether the answer is an expression or an equation
     *
     * @throws UnreadableFields where there is nothing to ask, or nothing differs
     */
    public static function of(string $words, string $right, bool $hasLetters): self
    {
        if (trim($words) === '' || trim($right) === '') {
            throw UnreadableFields::saying('Write the question and its right answer.');
        }
        try {
            $values = Values::in([$words, $right]);
        } catch (InvalidValues $problem) {
            throw UnreadableFields::saying($problem->getMessage());
        }
        if ($values->isEmpty()) {
            throw UnreadableFields::saying('Put values into your question, such as {a: 2..9}.');
        }

        return new self(trim($words), trim($right), $hasLetters, $values);
    }

    /** @return array{words: string, right: string, letters: bool} */
    public function toArray(): array
    {
        return ['words' => $this->words, 'right' => $this->right, 'letters' => $this->hasLetters];
    }

    public function name(): string
    {
        return 'A question of your own';
    }

    public function kinds(): array
    {
        return [self::KEY => 'Your question'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $draw = $this->values->draw('practice', $chance->from(0, self::DRAWS - 1));

        return new Task($draw->fill($this->words), $draw->fill($this->right), FormKind::Any, $this->hasLetters);
    }
}
