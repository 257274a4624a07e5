<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Kind;
use Crag\Canvas\Operation;
use Crag\Canvas\SceneDraft;

/** Takes objects off the page: one rub of the eraser. */
final readonly class Remove implements Effect
{
    /** @param  list<string>  $targets */
    public function __construct(private array $targets)
    {
    }

    public function kind(): Kind
    {
        return Kind::Remove;
    }

    public function toArray(): array
    {
        return ['targets' => $this->targets];
    }

    public function targets(): array
    {
        return $this->targets;
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        foreach ($this->targets as $target) {
            $draft->take($target);
        }
    }
}
