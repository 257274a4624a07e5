<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\OperationKind;

/** Redo: the operation that it names counts again. Read by {@see \Crag\Canvas\Log\InForce}. */
final readonly class Reinstate implements Effect
{
    use NamesOperation;

    public function kind(): OperationKind
    {
        return OperationKind::Reinstate;
    }
}
