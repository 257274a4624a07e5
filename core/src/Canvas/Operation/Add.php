<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** Puts objects on a page, above what is there: one, or several that were pasted or brought in together. */
final readonly class Add implements Effect
{
    public const MOST_OBJECTS = 500;

    /**
     * @param  list<Placing>  $placings
     * @param  bool  $single  whether the one object has the operation's own id
     */
    private function __construct(public array $placings, public bool $single, public string $page)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        $single = ! $body->has('objects');
        $placings = $single ? [$body] : $body->objects('objects', self::MOST_OBJECTS);

        return new self(array_map(Placing::read(...), $placings), $single, self::page($body));
    }

    /**
     * The page that a body names: the id of the operation that added it, "" for the first one.
     *
     * @throws UnreadableFields
     */
    public static function page(Fields $body): string
    {
        return $body->has('page') ? ObjectId::in($body, 'page') : '';
    }

    public function kind(): OperationKind
    {
        return OperationKind::Add;
    }

    public function toArray(): array
    {
        $placings = array_map(static fn (Placing $one): array => $one->toArray(), $this->placings);

        return ($this->single ? $placings[0] : ['objects' => $placings]) +
            ($this->page === '' ? [] : ['page' => $this->page]);
    }

    public function targets(): array
    {
        return $this->page === '' ? [] : [$this->page];
    }

    public function madeWith(): array
    {
        return array_map(static fn (Placing $one): array => [$one->object->tool()], $this->placings);
    }

    /** @return array<string, string> by what follows the operation's id in the objects' ids */
    public function types(): array
    {
        $types = [];
        foreach ($this->placings as $i => $placing) {
            $type = $placing->object->toArray()['type'];
            $types[$this->single ? '' : ".{$i}"] = is_string($type) ? $type : '';
        }

        return $types;
    }

    /** @return list<string> the pictures that it shows */
    public function assets(): array
    {
        return array_merge(...array_map(static fn (Placing $one): array => $one->object->assets(), $this->placings));
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        foreach ($this->placings as $i => $placing) {
            $id = $operation->id->value.($this->single ? '' : ".{$i}");
            $draft->put($id, $operation->layer, $this->page, $placing);
        }
    }
}
