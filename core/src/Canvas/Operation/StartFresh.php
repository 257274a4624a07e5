<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;

/**
 * A teacher empties a canvas, whoever made what is on it: one blank page is left. Withdrawing it gives all of it back.
 */
final readonly class StartFresh implements Effect
{
    public function kind(): OperationKind
    {
        return OperationKind::Fresh;
    }

    public function toArray(): array
    {
        return [];
    }

    public function targets(): array
    {
        return [];
    }

    public function madeWith(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->empty();
    }
}
