<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Seat;
use Crag\Session\Room\MayDraw;
use Crag\Session\Rules\CanvasTie;

/** A student who draws on a canvas, or did: whether their ink may go there now, and where their page hears of it. */
final readonly class Writer
{
    private function __construct(public MayDraw $mayDraw, public CanvasTie $tie, public string $channel)
    {
    }

    /** @param  int  $turn  how often the seat's channels were begun anew */
    public static function of(string $seat, int $turn, MayDraw $mayDraw, CanvasTie $tie): self
    {
        return new self($mayDraw, $tie, 'seat.'.Seat::channelOf($seat, $turn));
    }
}
