<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Place;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Layer;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** An object as it stands on a page. */
final class PlacedObject
{
    public function __construct(
        public readonly Layer $layer,
        public readonly string $page,
        public CanvasObject $object,
        public ?Place $place = null,
        public string $group = '',
        public bool $locked = false,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self(
            Layer::from($fields->text('layer')),
            $fields->has('page') ? $fields->text('page') : '',
            ReadObject::from($fields->object('object')),
            $fields->has('place') ? Place::read($fields->list('place', 4, 4)) : null,
            $fields->has('group') ? $fields->text('group') : '',
            $fields->flag('locked'),
        );
    }

    /**
     * A student moves the student's own and the pieces that are there to be moved; what is locked stays for everybody
     * but the teacher.
     */
    public function mayBeTouchedBy(Author $author): bool
    {
        if ($author->seat === null) {
            return true;
        }
        $still = $this->layer === Layer::Pieces && $this->object instanceof Piece && ! $this->object->moves();

        return ! $this->locked && ! $still;
    }

    /** @return array<string, mixed> what is as usual is left out */
    public function toArray(): array
    {
        return ['layer' => $this->layer->value] +
            ($this->page === '' ? [] : ['page' => $this->page]) + ['object' => $this->object->toArray()] +
            ($this->place === null ? [] : ['place' => $this->place->toArray()]) +
            ($this->group === '' ? [] : ['group' => $this->group]) +
            ($this->locked ? ['locked' => true] : []);
    }
}
