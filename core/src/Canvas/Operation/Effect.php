<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Kind;
use Crag\Canvas\Operation;
use Crag\Canvas\SceneDraft;

/** What one kind of operation does to a scene. */
interface Effect
{
    public function kind(): Kind;

    /** @return array<string, mixed> the JSON body */
    public function toArray(): array;

    /** @return list<string> ids of the operations it refers to, which must be in the log before it */
    public function targets(): array;

    public function apply(SceneDraft $draft, Operation $operation): void;
}
