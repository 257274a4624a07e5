<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Closure;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Operation\Order;
use Crag\Canvas\Operation\Placing;
use Crag\Prompt\Backdrop;

/** A scene while a log is being folded into it. */
final class SceneDraft
{
    /** @var array<string, Backdrop> by the page's id */
    private array $pages;

    /** @var array<string, Placed> in drawing order */
    private array $placed = [];

    public function __construct(?Scene $base = null)
    {
        $this->pages = $base === null ? ['' => Backdrop::blank()] : $base->pages;
        foreach ($base->placed ?? [] as $id => $placed) {
            $this->placed[$id] = clone $placed;
        }
    }

    public function put(string $id, Layer $layer, string $page, Placing $placing): void
    {
        $this->placed[$id] = new Placed($layer, $page, $placing->object, $placing->place, $placing->group);
    }

    public function placed(string $id): ?Placed
    {
        return $this->placed[$id] ?? null;
    }

    /** What is called so, if this author may do something to it. */
    public function touchable(string $id, Author $author): ?Placed
    {
        $placed = $this->placed[$id] ?? null;

        return $placed?->mayBeTouchedBy($author) === true ? $placed : null;
    }

    public function replace(string $id, CanvasObject $object): void
    {
        if (isset($this->placed[$id])) {
            $this->placed[$id]->object = $object;
        }
    }

    public function take(string $id): void
    {
        unset($this->placed[$id]);
    }

    /** @param  Closure(Placed): bool  $which */
    public function takeWhere(Closure $which): void
    {
        $this->placed = array_filter($this->placed, static fn (Placed $placed): bool => ! $which($placed));
    }

    /** @param  array<string, CanvasObject>  $parts  what stands where the object stood, by their ids */
    public function split(string $id, array $parts): void
    {
        $before = $this->placed[$id];
        $now = [];
        foreach ($this->placed as $one => $placed) {
            if ((string) $one !== $id) {
                $now[$one] = $placed;

                continue;
            }
            foreach ($parts as $partId => $part) {
                $now[$partId] = clone $before;
                $now[$partId]->object = $part;
            }
        }
        $this->placed = $now;
    }

    /** @param  list<string>  $ids which are there */
    public function order(array $ids, Order $order): void
    {
        if ($ids === []) {
            return;
        }
        $moving = array_intersect_key($this->placed, array_flip($ids));
        if ($order === Order::Front || $order === Order::Back) {
            $staying = array_diff_key($this->placed, $moving);
            $this->placed = $order === Order::Front ? $staying + $moving : $moving + $staying;

            return;
        }
        $this->step($moving, $order === Order::Forward);
    }

    public function addPage(string $id): void
    {
        $first = $this->pages[''];
        $this->pages[$id] = $first->isRuling() ? $first : Backdrop::blank();
    }

    public function putUnder(string $page, Backdrop $backdrop): void
    {
        if (isset($this->pages[$page])) {
            $this->pages[$page] = $backdrop;
        }
    }

    public function finish(): Scene
    {
        $pages = $this->pages;

        return new Scene($pages, array_filter($this->placed, static fn (Placed $placed): bool => isset($pages[$placed->page])));
    }

    /**
     * Each goes past the nearest one of its page and beyond it that does not move too.
     *
     * @param  array<string, Placed>  $moving
     */
    private function step(array $moving, bool $forward): void
    {
        $ids = array_map(strval(...), array_keys($this->placed));
        $ids = $forward ? array_reverse($ids) : $ids;
        // Walking from the far end, each moving one changes places with what it has passed last.
        foreach ($ids as $at => $id) {
            if (! isset($moving[$id])) {
                continue;
            }
            for ($past = $at - 1; $past >= 0; $past--) {
                if ($this->placed[$ids[$past]]->page === $moving[$id]->page) {
                    if (! isset($moving[$ids[$past]])) {
                        array_splice($ids, $at, 1);
                        array_splice($ids, $past, 0, [$id]);
                    }

                    break;
                }
            }
        }
        $now = [];
        foreach ($forward ? array_reverse($ids) : $ids as $id) {
            $now[$id] = $this->placed[$id];
        }
        $this->placed = $now;
    }
}
