<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;

/**
 * A teacher gives a canvas back as it was just after an operation: what came between counts as not made, whoever made
 * it. Withdrawing it brings all of that back. Read by {@see \Crag\Canvas\Log\InForce} before anything is applied.
 */
final readonly class GiveBack implements Effect
{
    public function __construct(public string $target)
    {
    }

    public function kind(): OperationKind
    {
        return OperationKind::GiveBack;
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
