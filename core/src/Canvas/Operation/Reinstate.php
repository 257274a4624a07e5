<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;

/**
 * Redo: the operation that it names counts again. Read by {@see \Crag\Canvas\Scene::fold} before anything is applied.
 */
final readonly class Reinstate implements Effect
{
    public function __construct(public string $target)
    {
    }

    public function kind(): OperationKind
    {
        return OperationKind::Reinstate;
    }

    public function toArray(): array
    {
        return ['target' => $this->target];
    }

    public function targets(): array
    {
        return [$this->target];
    }

    public function madeWith(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
    }
}
