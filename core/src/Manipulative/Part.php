<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** A part that a hand can take: what it is, where it lies, and what one does with it. */
final readonly class Part
{
    public const PRESS = 'press';

    public const DRAG = 'drag';

    public const TYPE = 'type';

    /**
     * @param  list<float>  $outline  x, y, x, y … in units
     * @param  string  $does  one of the constants
     * @param  int  $step  how far an arrow key drags it, in units
     * @param  int  $value  what stands in it, where one types
     * @param  bool  $isControl  a button beside the drawing: no part of its picture
     */
    public function __construct(
        public string $name,
        public int $n,
        public Said $label,
        public array $outline,
        public string $does,
        public int $step = 0,
        public int $value = 0,
        public bool $isControl = false,
    ) {
    }
}
