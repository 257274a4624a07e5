<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\SceneDraft;

/**
 * What says of another operation whether it counts. It is read before anything is applied, and itself puts nothing on
 * a page.
 */
trait NamesOperation
{
    /** @param  string  $target  the id of the operation */
    public function __construct(public readonly string $target)
    {
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
