<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;
use Crag\Prompt\Tray\Tool;

/** Takes objects off the page: one rub of the eraser. */
final readonly class Remove implements Effect
{
    /** @param  list<string>  $targets */
    public function __construct(private array $targets)
    {
    }

    public function kind(): OperationKind
    {
        return OperationKind::Remove;
    }

    public function toArray(): array
    {
        return ['targets' => $this->targets];
    }

    public function targets(): array
    {
        return $this->targets;
    }

    public function madeWith(): array
    {
        return [[Tool::Eraser, Tool::Move, Tool::Text, Tool::Note]];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        foreach ($this->targets as $target) {
            if ($draft->touchable($target, $operation->author) !== null) {
                $draft->take($target);
            }
        }
    }
}
