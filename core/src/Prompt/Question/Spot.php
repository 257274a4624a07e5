<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/**
 * Where on a prompt's pages a question stands: the page from 0, the left upper corner, the width and the height in
 * units; without a height it is as tall as what stands in it. It is bare where the page itself says what is asked: then
 * the box shows its number alone.
 */
final readonly class Spot
{
    public const NARROWEST = 40;

    public const LOWEST = 24;

    /** What a line of typed words takes with its frame. */
    public const LINE = 48;

    private function __construct(
        public int $page,
        public int $x,
        public int $y,
        public int $w,
        public int $h,
        public bool $isBare,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $w = $fields->whole('w', self::NARROWEST, Paper::LONGEST);

        return new self(
            $fields->whole('page', 0, 99, 0),
            $fields->whole('x', 0, Paper::LONGEST - self::NARROWEST),
            $fields->whole('y', 0, Paper::LONGEST - 20),
            $w,
            $fields->isNull('h') ? 0 : $fields->whole('h', self::LOWEST, Paper::LONGEST),
            $fields->has('bare') && $fields->flag('bare'),
        );
    }

    /** @return array{page: int, x: int, y: int, w: int, h?: int, bare?: true} */
    public function toArray(): array
    {
        return ['page' => $this->page, 'x' => $this->x, 'y' => $this->y, 'w' => $this->w] +
            ($this->h === 0 ? [] : ['h' => $this->h]) +
            ($this->isBare ? ['bare' => true] : []);
    }

    /** In units. */
    public function height(): int
    {
        return $this->h === 0 ? self::LINE : $this->h;
    }

    /** Whether a place on the page lies in it, in units. */
    public function holds(float $x, float $y): bool
    {
        return $x >= $this->x && $x <= $this->x + $this->w && $y >= $this->y && $y <= $this->y + $this->height();
    }

    public function onPage(int $page): self
    {
        return new self($page, $this->x, $this->y, $this->w, $this->h, $this->isBare);
    }
}
