<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;
use Crag\Prompt\Tray\Tool;

/** Adds a page after the last one, known by the operation's id, with the first page's ruling. */
final readonly class AddPage implements Effect
{
    public function kind(): OperationKind
    {
        return OperationKind::Page;
    }

    public function toArray(): array
    {
        return [];
    }

    public function targets(): array
    {
        return [];
    }

    public function madeWith(): array
    {
        return [[Tool::Pages]];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->addPage($operation->id->value, $operation->layer);
    }
}
