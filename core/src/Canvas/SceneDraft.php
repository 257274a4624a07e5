<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Crag\Canvas\Object\CanvasObject;
use Crag\Prompt\Backdrop;

/** A scene while a log is being folded into it. */
final class SceneDraft
{
    public Backdrop $backdrop;

    /** @var array<string, array{Layer, CanvasObject}> */
    private array $placed = [];

    public function __construct()
    {
        $this->backdrop = Backdrop::blank();
    }

    public function put(string $id, Layer $layer, CanvasObject $object): void
    {
        $this->placed[$id] = [$layer, $object];
    }

    public function object(string $id): ?CanvasObject
    {
        return $this->placed[$id][1] ?? null;
    }

    public function replace(string $id, CanvasObject $object): void
    {
        if (isset($this->placed[$id])) {
            $this->placed[$id][1] = $object;
        }
    }

    public function take(string $id): void
    {
        unset($this->placed[$id]);
    }

    public function takeAll(Layer $layer): void
    {
        $this->placed = array_filter($this->placed, static fn (array $placed): bool => $placed[0] !== $layer);
    }

    public function finish(): Scene
    {
        $layers = $objects = [];
        foreach ($this->placed as $id => [$layer, $object]) {
            $layers[$id] = $layer;
            $objects[$id] = $object;
        }

        return new Scene($this->backdrop, $objects, $layers);
    }
}
