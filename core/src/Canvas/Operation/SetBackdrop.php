<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Kind;
use Crag\Canvas\Operation;
use Crag\Canvas\SceneDraft;
use Crag\Prompt\Backdrop;

/** Puts a backdrop under all ink; no ink is touched. */
final readonly class SetBackdrop implements Effect
{
    public function __construct(public Backdrop $backdrop)
    {
    }

    public function kind(): Kind
    {
        return Kind::Backdrop;
    }

    public function toArray(): array
    {
        return ['backdrop' => $this->backdrop->toArray()];
    }

    public function targets(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->backdrop = $this->backdrop;
    }
}
