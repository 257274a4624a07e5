<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Fields;
use Crag\Canvas\Kind;
use Crag\Canvas\Operation;
use Crag\Canvas\SceneDraft;
use Crag\Canvas\UnreadableOperation;

/** Sets some fields of an object anew; the latest change to a field holds. */
final readonly class Change implements Effect
{
    /** @param  array<string, mixed>  $set */
    public function __construct(public string $target, public array $set)
    {
    }

    public function kind(): Kind
    {
        return Kind::Change;
    }

    public function toArray(): array
    {
        return ['target' => $this->target, 'set' => $this->set];
    }

    public function targets(): array
    {
        return [$this->target];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $object = $draft->object($this->target);
        if ($object === null) {
            return;
        }
        try {
            $draft->replace($this->target, $object->with(new Fields($this->set)));
        } catch (UnreadableOperation) {
            // A change that does not fit what it names leaves it as it was.
        }
    }
}
