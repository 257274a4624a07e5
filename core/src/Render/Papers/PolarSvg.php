<?php

declare(strict_types=1);

namespace Crag\Render\Papers;

use Crag\Prompt\Paper;
use Crag\Render\Xml;

/** Circles and rays about the middle of the page, with the angles in degrees, anticlockwise from the right. */
final class PolarSvg
{
    private const RINGS = 8;

    private const MARGIN = 60;

    private const LINE = '#b7c6cc';

    /** @param  int  $step  from one ray to the next, in degrees */
    public static function draw(Paper $paper, int $step): string
    {
        [$x, $y] = [$paper->width / 2, $paper->height / 2];
        $radius = min($x, $y) - self::MARGIN;
        $circles = '';
        for ($ring = 1; $ring <= self::RINGS; $ring++) {
            $circles .= Xml::element('circle', [
                'cx' => $x,
                'cy' => $y,
                'r' => $radius * $ring / self::RINGS,
                'fill' => 'none',
                'stroke' => self::LINE,
                'stroke-width' => $ring === self::RINGS ? 2.5 : 1.5,
            ]);
        }
        $rays = $words = '';
        for ($angle = 0; $angle < 360; $angle += $step) {
            [$cos, $sin] = [cos(deg2rad($angle)), -sin(deg2rad($angle))];
            $rays .= 'M'.Xml::number($x).' '.Xml::number($y).
                'L'.Xml::number($x + $radius * $cos).' '.Xml::number($y + $radius * $sin);
            $words .= Xml::words(
                $x + ($radius + 28) * $cos,
                $y + ($radius + 28) * $sin + 7,
                20,
                "{$angle}°",
                ['text-anchor' => 'middle', 'fill' => '#5b6b73'],
            );
        }

        return $circles.
            Xml::element('path', ['d' => $rays, 'stroke' => self::LINE, 'stroke-width' => 1.5, 'fill' => 'none']).
            $words;
    }
}
