<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\OperationKind;

/**
 * A teacher gives a canvas back as it was just after an operation: what came between counts as not made, whoever made
 * it. Withdrawing it brings all of that back. Read by {@see \Crag\Canvas\Log\InForce}.
 */
final readonly class GiveBack implements Effect
{
    use NamesOperation;

    public function kind(): OperationKind
    {
        return OperationKind::GiveBack;
    }
}
