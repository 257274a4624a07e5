<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Drawing\CutOut;
use Crag\Canvas\Scene;

/** Offered work on a printed board. */
final readonly class BoardCell
{
    /**
     * @param  string  $label  its number, and whose it is where that is wanted
     * @param  string  $words  what its author said to it
     * @param  ?CutOut  $cut  null for the whole page
     */
    public function __construct(
        public string $label,
        public string $words,
        public Scene $scene,
        public string $page = '',
        public ?CutOut $cut = null,
    ) {
    }
}
