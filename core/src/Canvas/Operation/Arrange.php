<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Drawing\Place;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/**
 * Moves objects: to places (moved, turned, scaled), in the order in which they are drawn, into or out of a group, or
 * locks them where they are.
 */
final readonly class Arrange implements Effect
{
    /**
     * @param  list<string>  $targets
     * @param  list<Place>  $places  one for each target, or none
     */
    private function __construct(
        private array $targets,
        private array $places,
        private ?Order $order,
        private ?string $group,
        public ?bool $lock,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        $targets = ObjectId::allIn($body, 'targets');
        $places = $order = $group = $lock = null;
        if ($body->has('places')) {
            $places = array_map(
                static fn (mixed $place): Place => Place::read(is_array($place) ? array_values($place) : []),
                $body->list('places', count($targets), count($targets)),
            );
        } elseif ($body->has('order')) {
            $order = Order::tryFrom($body->text('order')) ?? throw UnreadableFields::missing('order');
        } elseif ($body->has('group')) {
            $group = Placing::groupId($body);
        } elseif ($body->has('lock')) {
            $lock = $body->flag('lock');
        } else {
            throw UnreadableFields::missing('places');
        }

        return new self($targets, $places ?? [], $order, $group, $lock);
    }

    public function kind(): OperationKind
    {
        return OperationKind::Arrange;
    }

    public function toArray(): array
    {
        return ['targets' => $this->targets] +
            match (true) {
                $this->order !== null => ['order' => $this->order->value],
                $this->group !== null => ['group' => $this->group],
                $this->lock !== null => ['lock' => $this->lock],
                default => ['places' => array_map(static fn (Place $place): array => $place->toArray(), $this->places)],
            };
    }

    public function targets(): array
    {
        return $this->targets;
    }

    public function madeWith(): array
    {
        return [[Tool::Move]];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $touched = [];
        foreach ($this->targets as $i => $id) {
            $placed = $this->lock === null ? $draft->touchable($id, $operation->author) : $draft->placed($id);
            if ($placed === null) {
                continue;
            }
            $touched[] = $id;
            if ($this->places !== []) {
                $placed->place = $this->places[$i]->isUntouched() ? null : $this->places[$i];
            }
            $placed->group = $this->group ?? $placed->group;
            $placed->locked = $this->lock ?? $placed->locked;
        }
        if ($this->places !== []) {
            $draft->follow($touched);
        }
        if ($this->order !== null) {
            $draft->order($touched, $this->order);
        }
    }
}
