<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;
use Crag\Prompt\Tray\Tool;

/** What one kind of operation does to a scene. */
interface Effect
{
    public function kind(): OperationKind;

    /** @return array<string, mixed> the JSON body */
    public function toArray(): array;

    /** @return list<string> ids of the objects or operations it refers to, which must be in the log before it */
    public function targets(): array;

    /** @return list<list<Tool>> what it is made with: of each list at least one tool */
    public function madeWith(): array;

    public function apply(SceneDraft $draft, Operation $operation): void;
}
