<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\OperationKind;

/**
 * Undo: the operation that it names counts as not made, until it is reinstated. Read by
 * {@see \Crag\Canvas\Log\InForce}.
 */
final readonly class Withdraw implements Effect
{
    use NamesOperation;

    public function kind(): OperationKind
    {
        return OperationKind::Withdraw;
    }
}
