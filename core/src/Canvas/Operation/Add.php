<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Kind;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Operation;
use Crag\Canvas\SceneDraft;

/** Puts an object on the page, above what is there. */
final readonly class Add implements Effect
{
    public function __construct(public CanvasObject $object)
    {
    }

    public function kind(): Kind
    {
        return Kind::Add;
    }

    public function toArray(): array
    {
        return ['object' => $this->object->toArray()];
    }

    public function targets(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->put($operation->id->value, $operation->layer, $this->object);
    }
}
