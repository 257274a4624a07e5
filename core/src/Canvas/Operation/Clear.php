<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\Picture;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * Empties its own layer on one page, pictures and copied pieces kept or not. What was handed out and what others wrote
 * stay.
 */
final readonly class Clear implements Effect
{
    private function __construct(private bool $inkOnly, public string $page)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        return new self($body->oneOf('what', ['ink', 'all'], 'all') === 'ink', Add::page($body));
    }

    public function kind(): OperationKind
    {
        return OperationKind::Clear;
    }

    public function toArray(): array
    {
        return ['what' => $this->inkOnly ? 'ink' : 'all'] + ($this->page === '' ? [] : ['page' => $this->page]);
    }

    public function targets(): array
    {
        return $this->page === '' ? [] : [$this->page];
    }

    public function madeWith(): array
    {
        return [[Tool::Eraser]];
    }

    /** Pictures, and what is taken into the hand as a piece. */
    private static function isPicked(CanvasObject $object): bool
    {
        return $object instanceof Picture || $object instanceof Piece || $object instanceof Manipulative;
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->takeWhere(
            fn (PlacedObject $placed): bool => $placed->layer === $operation->layer &&
                $placed->page === $this->page &&
                $placed->mayBeTouchedBy($operation->author) &&
                ! ($this->inkOnly && self::isPicked($placed->object)),
        );
    }
}
