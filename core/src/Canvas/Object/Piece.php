<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * Something for students to move: any other object, with words for those who do not see it. A locked one stays where it
 * is; a stack stays too, and gives as many copies as are wanted; an area stays and takes pieces that are sorted. Which
 * of them belong there the teacher alone knows ({@see self::withoutKey}).
 */
final readonly class Piece implements Handled
{
    public const TYPE = 'piece';

    public const CHANGEABLE = ['alt', 'locked', 'stack'];

    private const MOST_TAKEN = 100;

    /** @param  list<string>  $takes  what the pieces are called that belong into the area */
    private function __construct(
        public string $alt,
        public bool $locked,
        public bool $stack,
        public CanvasObject $of,
        public bool $area = false,
        public array $takes = [],
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

        $takes = self::takes($fields);

        return new self(
            $alt,
            $fields->flag('locked'),
            $fields->flag('stack'),
            $of,
            $fields->flag('area') || $takes !== [],
            $takes,
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'alt' => $this->alt,
            'locked' => $this->locked,
            'stack' => $this->stack,
            'of' => $this->of->toArray(),
        ] +
            ($this->area ? ['area' => true] : []) +
            ($this->takes === [] ? [] : ['takes' => $this->takes]);
    }

    /** Whether students may move it. */
    public function moves(): bool
    {
        return ! $this->locked && ! $this->stack && ! $this->area;
    }

    /** As a student's page is given it. */
    public function withoutKey(): self
    {
        return new self($this->alt, $this->locked, $this->stack, $this->of, $this->area);
    }

    /**
     * @return list<string>
     *
     * @throws UnreadableFields
     */
    private static function takes(Fields $fields): array
    {
        $takes = [];
        foreach ($fields->has('takes') ? $fields->list('takes', 0, self::MOST_TAKEN) : [] as $name) {
            if (! is_string($name) || trim($name) === '' || mb_strlen($name) > 300) {
                throw UnreadableFields::badValue('takes', 'is not a list of what pieces are called');
            }
            $takes[] = trim($name);
        }

        return $takes;
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
