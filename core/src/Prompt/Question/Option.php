<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Values\Draw;

/** One of the answers to choose from: words, a picture, or both. */
final readonly class Option
{
    private const LONGEST_WORDS = 300;

    private function __construct(public string $id, public string $words, public string $picture)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self(
            QuestionId::read($fields),
            trim($fields->text('words', self::LONGEST_WORDS)),
            $fields->has('picture') ? $fields->text('picture', 40) : '',
        );
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'words' => $this->words] +
            ($this->picture === '' ? [] : ['picture' => $this->picture]);
    }

    public function filled(Draw $draw): self
    {
        return new self($this->id, $draw->fill($this->words), $this->picture);
    }
}
