<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Drawing\Place;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Object\ReadObject;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** An object to be put on a page, where, and with which others it belongs together. */
final readonly class Placing
{
    public function __construct(public CanvasObject $object, public ?Place $place = null, public string $group = '')
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $place = $fields->has('place') ? Place::read($fields->list('place', 4, 4)) : null;

        return new self(
            ReadObject::from($fields->object('object')),
            $place?->isUntouched() === true ? null : $place,
            $fields->has('group') ? self::groupId($fields) : '',
        );
    }

    /** @throws UnreadableFields */
    public static function groupId(Fields $fields): string
    {
        $group = $fields->text('group', 32);

        return preg_match('/\A[A-Za-z0-9_-]{0,32}\z/', $group) === 1
            ? $group
            : throw UnreadableFields::missing('group');
    }

    /** As a student's page is given it: an area without what belongs there. */
    public function withoutKey(): self
    {
        return $this->object instanceof Piece
            ? new self($this->object->withoutKey(), $this->place, $this->group)
            : $this;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['object' => $this->object->toArray()] +
            ($this->place === null ? [] : ['place' => $this->place->toArray()]) +
            ($this->group === '' ? [] : ['group' => $this->group]);
    }
}
