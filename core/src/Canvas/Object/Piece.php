<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * Something for students to move: any other object, with words for those who do not see it. A locked one stays where it
 * is; a stack stays too, and gives as many copies as are wanted.
 */
final readonly class Piece implements CanvasObject
{
    public const TYPE = 'piece';

    public const CHANGEABLE = ['alt', 'locked', 'stack'];

    private function __construct(
        public string $alt,
        public bool $locked,
        public bool $stack,
        public CanvasObject $of,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $alt = ReadField::alt($fields);
        if (trim($alt) === '') {
            throw UnreadableFields::badValue('alt', 'is empty: a piece needs words for those who do not see it');
        }
        $of = ReadObject::from($fields->object('of'));
        if ($of instanceof self) {
            throw UnreadableFields::badValue('of', 'is a piece itself');
        }

        return new self($alt, $fields->flag('locked'), $fields->flag('stack'), $of);
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'alt' => $this->alt,
            'locked' => $this->locked,
            'stack' => $this->stack,
            'of' => $this->of->toArray(),
        ];
    }

    /** Whether students may move it. */
    public function moves(): bool
    {
        return ! $this->locked && ! $this->stack;
    }

    public function tool(): Tool
    {
        return Tool::Move;
    }

    public function assets(): array
    {
        return $this->of->assets();
    }
}
