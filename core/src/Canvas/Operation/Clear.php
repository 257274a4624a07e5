<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Kind;
use Crag\Canvas\Operation;
use Crag\Canvas\SceneDraft;

/** Empties its own layer. What was handed out and what others wrote stay. */
final readonly class Clear implements Effect
{
    public function kind(): Kind
    {
        return Kind::Clear;
    }

    public function toArray(): array
    {
        return [];
    }

    public function targets(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->takeAll($operation->layer);
    }
}
