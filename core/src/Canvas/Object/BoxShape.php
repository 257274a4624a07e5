<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Place;
use Crag\Json\Fields;
use Crag\Prompt\Tray\Tool;

/**
 * A shape drawn from one corner to the opposite one: for a line or an arrow, from its beginning to its end. Corner and
 * the way to the other one in tenths, which may be negative; a triangle stands on the side that the pen went to. The
 * ends of a line or an arrow can be tied to other objects: where they are moved, it goes along.
 */
final readonly class BoxShape implements CanvasObject
{
    public const TYPES = ['line', 'arrow', 'rectangle', 'ellipse', 'triangle'];

    public const CHANGEABLE = ['x', 'y', 'w', 'h', ...ShapeLook::CHANGEABLE];

    /** What has ends to be tied: it goes from one corner of the box to the other, with nothing within. */
    public const OPEN = ['line', 'arrow'];

    private function __construct(
        public string $type,
        public int $x,
        public int $y,
        public int $w,
        public int $h,
        public ShapeLook $look,
        private ?Tie $start = null,
        private ?Tie $end = null,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $type = $fields->oneOf('type', self::TYPES);

        return new self(
            $type,
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::length($fields, 'w'),
            ReadField::length($fields, 'h'),
            ShapeLook::read($fields, $type),
            self::tie($fields, $type, 'start'),
            self::tie($fields, $type, 'end'),
        );
    }

    private static function tie(Fields $fields, string $type, string $name): ?Tie
    {
        return in_array($type, self::OPEN, true) && $fields->has($name) ? Tie::read($fields->object($name)) : null;
    }

    /** @return list<string> the ids of what its ends are tied to */
    public function tiedTo(): array
    {
        return array_values(array_unique(array_map(
            static fn (Tie $tie): string => $tie->on,
            array_filter([$this->start, $this->end]),
        )));
    }

    /**
     * Without ties to anything but these.
     *
     * @param  list<string>  $ids
     */
    public function tiedOnlyTo(array $ids): self
    {
        $kept = static fn (?Tie $tie): ?Tie => $tie !== null && in_array($tie->on, $ids, true) ? $tie : null;

        return $this->with([$this->x, $this->y], $this->farEnd(), $kept($this->start), $kept($this->end));
    }

    /** As it lies on the page, to stand there without a place of its own. */
    public function through(?Place $place): self
    {
        return $this->with(
            Tie::through($place, $this->x, $this->y),
            Tie::through($place, ...$this->farEnd()),
            $this->start,
            $this->end,
        );
    }

    /** The ends that are tied to an object have gone where it is now. */
    public function following(string $id, ?Place $place): self
    {
        return $this->with(
            $this->start?->on === $id ? $this->start->at($place) : [$this->x, $this->y],
            $this->end?->on === $id ? $this->end->at($place) : $this->farEnd(),
            $this->start,
            $this->end,
        );
    }

    /** @return array{int, int} */
    private function farEnd(): array
    {
        return [$this->x + $this->w, $this->y + $this->h];
    }

    /**
     * @param  array{int, int}  $from
     * @param  array{int, int}  $to
     */
    private function with(array $from, array $to, ?Tie $start, ?Tie $end): self
    {
        [$x, $y] = array_map(ReadField::reachable(...), $from);
        [$farX, $farY] = array_map(ReadField::reachable(...), $to);

        return new self($this->type, $x, $y, $farX - $x, $farY - $y, $this->look, $start, $end);
    }

    public function toArray(): array
    {
        return ['type' => $this->type, 'x' => $this->x, 'y' => $this->y, 'w' => $this->w, 'h' => $this->h] +
            $this->look->toArray() +
            ($this->start === null ? [] : ['start' => $this->start->toArray()]) +
            ($this->end === null ? [] : ['end' => $this->end->toArray()]);
    }

    public function tool(): Tool
    {
        return Tool::Shapes;
    }

    public function assets(): array
    {
        return [];
    }
}
