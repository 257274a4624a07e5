<?php

declare(strict_types=1);

namespace Crag\Render\Papers;

use Crag\Prompt\Paper;
use Crag\Render\Xml;

/** Groups of five lines, as many as the paper takes, with room for ledger lines between them, and clefs if wished. */
final class StavesSvg
{
    private const TOP = 90;

    private const NEXT = 180;

    private const LINE = 22;

    private const MARGIN = 60;

    /** The colour of lines and clefs. */
    private const INK = '#7d8b92';

    /** @param  string  $clef  none, treble, bass or piano: treble and bass in turns, joined at their left */
    public static function draw(Paper $paper, string $clef): string
    {
        $path = $drawing = '';
        for ($n = 0; self::TOP + self::NEXT * $n + 4 * self::LINE <= $paper->height; $n++) {
            $top = self::TOP + self::NEXT * $n;
            for ($line = 0; $line < 5; $line++) {
                $path .= 'M'.self::MARGIN.' '.($top + self::LINE * $line).'H'.($paper->width - self::MARGIN);
            }
            $isBass = $clef === 'bass' || ($clef === 'piano' && $n % 2 === 1);
            if ($clef !== 'none') {
                $drawing .= $isBass ? self::bass($top) : self::treble($top);
            }
            if ($clef === 'piano' && $isBass) {
                $path .= 'M'.self::MARGIN.' '.($top - self::NEXT).'V'.($top + 4 * self::LINE);
            }
        }

        return Xml::element('path', ['d' => $path, 'stroke' => self::INK, 'stroke-width' => 1.5, 'fill' => 'none']).
            $drawing;
    }

    /** A curl about the second line from below, a stem through the staff, and a ball at its foot. */
    private static function treble(int $top): string
    {
        $x = self::MARGIN + 56;
        $g = $top + 3 * self::LINE;

        return Xml::element('path', [
            'd' => "M{$x} {$g}c-10 -3 -12 13 0 15c16 2 22 -22 4 -31c-22 -8 -42 14 -34 36c8 20 44 22 52 -4".
                'c6 -24 -22 -38 -30 -52c-12 -20 -8 -52 8 -64c10 16 6 34 -10 50c-18 18 -34 32 -34 54',
            'stroke' => self::INK,
            'stroke-width' => 4,
            'stroke-linecap' => 'round',
            'fill' => 'none',
        ]).Xml::element('path', [
            'd' => 'M'.($x - 4).' '.($g - 86).'L'.($x + 8).' '.($g + 52).'c0 14 -22 14 -22 2',
            'stroke' => self::INK,
            'stroke-width' => 4,
            'stroke-linecap' => 'round',
            'fill' => 'none',
        ]);
    }

    /** A curl that begins on the second line from above, and two dots around it. */
    private static function bass(int $top): string
    {
        $x = self::MARGIN + 28;
        $f = $top + self::LINE;
        $dots = '';
        foreach ([-9, 11] as $by) {
            $dots .= Xml::element('circle', ['cx' => $x + 56, 'cy' => $f + $by, 'r' => 4.5, 'fill' => self::INK]);
        }

        return Xml::element('circle', ['cx' => $x + 4, 'cy' => $f, 'r' => 7, 'fill' => self::INK]).
            Xml::element('path', [
                'd' => 'M'.($x + 2).' '.$f.'c0 -24 40 -28 40 4c0 30 -22 44 -46 56',
                'stroke' => self::INK,
                'stroke-width' => 4.5,
                'stroke-linecap' => 'round',
                'fill' => 'none',
            ]).
            $dots;
    }
}
