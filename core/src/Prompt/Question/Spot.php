<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/**
 * Where on a prompt's pages a question stands: the page from 0, the left upper corner and the width in units. It is
 * bare where the page itself says what is asked: then the box shows its number alone.
 */
final readonly class Spot
{
    public const NARROWEST = 80;

    private function __construct(
        public int $page,
        public int $x,
        public int $y,
        public int $w,
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
            $fields->has('bare') && $fields->flag('bare'),
        );
    }

    /** @return array{page: int, x: int, y: int, w: int, bare?: true} */
    public function toArray(): array
    {
        return ['page' => $this->page, 'x' => $this->x, 'y' => $this->y, 'w' => $this->w] +
            ($this->isBare ? ['bare' => true] : []);
    }

    public function onPage(int $page): self
    {
        return new self($page, $this->x, $this->y, $this->w, $this->isBare);
    }
}
