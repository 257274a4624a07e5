<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/** Sets some fields of an object anew; the latest change to a field holds. */
final readonly class Change implements Effect
{
    /** @param  array<string, mixed>  $set */
    private function __construct(public string $target, public array $set)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        return new self(ObjectId::in($body, 'target'), ReadObject::settings($body->object('set')));
    }

    public function kind(): OperationKind
    {
        return OperationKind::Change;
    }

    public function toArray(): array
    {
        return ['target' => $this->target, 'set' => $this->set];
    }

    public function targets(): array
    {
        return [$this->target];
    }

    public function madeWith(): array
    {
        // Working a piece that is there takes no tool: what was handed out is there to be worked.
        return array_keys($this->set) === ['act']
            ? []
            : [[Tool::Move, Tool::Text, Tool::Maths, Tool::Note, Tool::Construct, Tool::Pieces]];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $placed = $draft->touchable($this->target, $operation->author);
        if ($placed === null) {
            return;
        }
        $object = $placed->object;
        $set = $object instanceof Manipulative && $placed->layer === Layer::Pieces
            ? $object->handedOut($this->set)
            : $this->set;
        try {
            $draft->replace($this->target, ReadObject::with($object, $set));
        } catch (UnreadableFields) {
            // A change that does not fit what it names leaves it as it was.
        }
    }
}
