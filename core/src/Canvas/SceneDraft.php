<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Closure;
use Crag\Canvas\Drawing\Place;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Order;
use Crag\Canvas\Operation\Placing;
use Crag\Prompt\Backdrop\Backdrop;

/** A scene while a log is being folded into it. */
final class SceneDraft
{
    /** @var array<string, Backdrop> by the page's id */
    private array $pages;

    /** @var array<string, Layer> on which layer a page was added, by its id; the student's are left out */
    private array $pageLayers;

    /** @var array<string, PlacedObject> in drawing order; what was cut up still holds its parts' place here */
    private array $placed = [];

    /** @var array<string, array<string, PlacedObject>> the parts of what was cut up, by its id */
    private array $parts = [];

    /** @var array<string, string|int|list<string>> by the question's id */
    private array $answers;

    /** @var array<string, string> what each part is a part of */
    private array $partOf = [];

    /** @var array<string, array<string, true>> lines that are or were tied to something, by its id and their own */
    private array $tied = [];

    public function __construct(?Scene $base = null)
    {
        $this->pages = $base === null ? ['' => Backdrop::blank()] : $base->pages;
        $this->pageLayers = $base->pageLayers ?? [];
        $this->answers = $base->answers ?? [];
        foreach ($base->placed ?? [] as $id => $placed) {
            $this->placed[$id] = clone $placed;
            $this->noteTies((string) $id, $placed->object);
        }
    }

    public function put(string $id, Layer $layer, string $page, Placing $placing): void
    {
        $this->placed[$id] = new PlacedObject($layer, $page, $placing->object, $placing->place, $placing->group);
        $this->noteTies($id, $placing->object);
    }

    private function noteTies(string $id, CanvasObject $object): void
    {
        foreach ($object instanceof BoxShape ? $object->tiedTo() : [] as $on) {
            $this->tied[$on][$id] = true;
        }
    }

    /**
     * Lines go along with what they are tied to. One that was moved itself is tied no more to what was not moved with
     * it.
     *
     * @param  list<string>  $moved
     */
    public function follow(array $moved): void
    {
        $isMoved = array_fill_keys($moved, true);
        $lines = $isMoved;
        foreach ($moved as $on) {
            $lines += $this->tied[$on] ?? [];
        }
        // All of them go by where things have been put, not by where another line has gone meanwhile.
        $gone = [];
        foreach (array_keys($lines) as $id) {
            $line = $this->placed((string) $id);
            if ($line?->object instanceof BoxShape && $line->object->tiedTo() !== []) {
                $gone[] = [$line, ...$this->gone($line, $line->object, $moved, isset($isMoved[$id]))];
            }
        }
        foreach ($gone as [$line, $shape, $place]) {
            $line->object = $shape;
            $line->place = $place;
        }
    }

    /**
     * @param  list<string>  $moved
     * @return array{BoxShape, ?Place} what becomes of a line, and its place
     */
    private function gone(PlacedObject $line, BoxShape $shape, array $moved, bool $isMoved): array
    {
        $shape = $isMoved ? $shape->tiedOnlyTo($moved) : $shape;
        $others = array_intersect($shape->tiedTo(), $moved);
        if ($others === []) {
            return [$shape, $line->place];
        }
        $shape = $shape->through($line->place);
        foreach ($others as $on) {
            $other = $this->placed($on);
            $shape = $other?->page === $line->page ? $shape->following($on, $other->place) : $shape;
        }

        return [$shape, null];
    }

    public function placed(string $id): ?PlacedObject
    {
        if (isset($this->parts[$id])) {
            return null;
        }

        return isset($this->partOf[$id]) ? $this->parts[$this->partOf[$id]][$id] ?? null : $this->placed[$id] ?? null;
    }

    /** What is called so, if this author may do something to it. */
    public function touchable(string $id, Author $author): ?PlacedObject
    {
        $placed = $this->placed($id);

        return $placed?->mayBeTouchedBy($author) === true ? $placed : null;
    }

    public function replace(string $id, CanvasObject $object): void
    {
        $placed = $this->placed($id);
        if ($placed !== null) {
            $placed->object = $object;
        }
    }

    public function take(string $id): void
    {
        if (isset($this->partOf[$id])) {
            unset($this->parts[$this->partOf[$id]][$id]);
        } else {
            unset($this->placed[$id]);
        }
    }

    /** @param  Closure(PlacedObject): bool  $which */
    public function takeWhere(Closure $which): void
    {
        $this->settle();
        $this->placed = array_filter($this->placed, static fn (PlacedObject $placed): bool => ! $which($placed));
    }

    /**
     * Parts stand where the whole stood. They are put into the order only when it is asked for: that costs as much as
     * the canvas holds, and a rub may cut a hundred times.
     *
     * @param  array<string, PlacedObject>  $parts  by their ids
     */
    public function split(string $id, array $parts): void
    {
        if ($this->placed($id) === null) {
            return;
        }
        $this->parts[$id] = $parts;
        foreach (array_keys($parts) as $partId) {
            $this->partOf[$partId] = $id;
        }
    }

    private function settle(): void
    {
        if ($this->parts === []) {
            return;
        }
        $now = [];
        foreach ($this->placed as $id => $placed) {
            $this->lay($now, (string) $id, $placed);
        }
        $this->placed = $now;
        $this->parts = $this->partOf = [];
    }

    /** @param  array<string, PlacedObject>  $now */
    private function lay(array &$now, string $id, PlacedObject $placed): void
    {
        if (! isset($this->parts[$id])) {
            $now[$id] = $placed;

            return;
        }
        foreach ($this->parts[$id] as $partId => $part) {
            $this->lay($now, (string) $partId, $part);
        }
    }

    /** @param  list<string>  $ids which are there */
    public function order(array $ids, Order $order): void
    {
        if ($ids === []) {
            return;
        }
        $this->settle();
        $moving = array_intersect_key($this->placed, array_flip($ids));
        if ($order === Order::Front || $order === Order::Back) {
            $staying = array_diff_key($this->placed, $moving);
            $this->placed = $order === Order::Front ? $staying + $moving : $moving + $staying;

            return;
        }
        $this->step($moving, $order === Order::Forward);
    }

    /** As if nothing had been put on it: the first page is left, blank. */
    public function empty(): void
    {
        $this->pages = ['' => Backdrop::blank()];
        $this->placed = $this->parts = $this->partOf = $this->answers = $this->pageLayers = $this->tied = [];
    }

    /** On which layer a page was added; null for the first, which nobody added, and for what is no page. */
    public function layerOfPage(string $id): ?Layer
    {
        return $id === '' || ! isset($this->pages[$id]) ? null : $this->pageLayers[$id] ?? Layer::Student;
    }

    /** @param  int  $to  its place, from 0 */
    public function movePage(string $id, int $to): void
    {
        $moved = $this->pages[$id];
        unset($this->pages[$id]);
        $this->pages =
            array_slice($this->pages, 0, $to, true) + [$id => $moved] + array_slice($this->pages, $to, null, true);
    }

    /** It keeps its paper. */
    public function rulePage(string $id, Backdrop $ruling): void
    {
        $this->pages[$id] = $ruling->on($this->pages[$id]->paper);
    }

    public function takePage(string $id): void
    {
        unset($this->pages[$id], $this->pageLayers[$id]);
    }

    public function addPage(string $id, Layer $layer): void
    {
        if ($layer !== Layer::Student) {
            $this->pageLayers[$id] = $layer;
        }
        $first = $this->pages[''];
        $this->pages[$id] = $first->isRuling() ? $first : Backdrop::blank($first->paper);
    }

    /** A page on which a student has worked keeps its paper, so that no work comes to lie beside it. */
    public function putUnder(string $page, Backdrop $backdrop): void
    {
        $before = $this->pages[$page] ?? null;
        if ($before !== null) {
            $this->pages[$page] = ! $this->hasWork($page) ? $backdrop : $backdrop->on($before->paper);
        }
    }

    private function hasWork(string $page): bool
    {
        $this->settle();
        foreach ($this->placed as $placed) {
            if ($placed->page === $page && $placed->layer === Layer::Student) {
                return true;
            }
        }

        return false;
    }

    /** @param  string|int|list<string>|null  $value */
    public function answer(string $question, string|int|array|null $value): void
    {
        if ($value === null) {
            unset($this->answers[$question]);
        } else {
            $this->answers[$question] = $value;
        }
    }

    public function finish(): Scene
    {
        $this->settle();
        $pages = $this->pages;

        return new Scene(
            $pages,
            array_filter($this->placed, static fn (PlacedObject $placed): bool => isset($pages[$placed->page])),
            $this->answers,
            $this->pageLayers,
        );
    }

    /**
     * Each goes past the nearest one of its page and beyond it that does not move too.
     *
     * @param  array<string, PlacedObject>  $moving
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
