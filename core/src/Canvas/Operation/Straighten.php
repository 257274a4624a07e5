<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Object\PointShape;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * A stroke gives way to the shape that it was meant as, which stands where it stood in the drawing order and is known
 * by the operation's id. Which shape that is was settled where it was seen ({@see \Crag\Canvas\Fit\FitShape}).
 */
final readonly class Straighten implements Effect
{
    private function __construct(public string $target, public Placing $placing)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        $placing = Placing::read($body);
        if (! ($placing->object instanceof BoxShape) && ! ($placing->object instanceof PointShape)) {
            throw UnreadableFields::badValue('object', 'is not a shape');
        }

        return new self(ObjectId::in($body, 'target'), $placing);
    }

    public function kind(): OperationKind
    {
        return OperationKind::Straighten;
    }

    public function toArray(): array
    {
        return ['target' => $this->target] + $this->placing->toArray();
    }

    public function targets(): array
    {
        return [$this->target];
    }

    public function madeWith(): array
    {
        return [[Tool::Pen], [Tool::Shapes]];
    }

    /** @return array<string, string> by what follows the operation's id in the shape's id */
    public function types(): array
    {
        $type = $this->placing->object->toArray()['type'];

        return ['' => is_string($type) ? $type : ''];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $stroke = $draft->touchable($this->target, $operation->author);
        if ($stroke?->object instanceof Stroke) {
            $shape = clone $stroke;
            $shape->object = $this->placing->object;
            $shape->place = $this->placing->place;
            $draft->split($this->target, [$operation->id->value => $shape]);
        }
    }
}
