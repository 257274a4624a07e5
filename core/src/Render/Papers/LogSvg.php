<?php

declare(strict_types=1);

namespace Crag\Render\Papers;

use Crag\Prompt\Paper;
use Crag\Render\Xml;

/** Graph paper whose lines stand at the logarithms of 1 to 10, three decades high; across alike, or in even steps. */
final class LogSvg
{
    private const DECADES = 3;

    private const MARGIN = 50;

    private const STEPS = 20;

    public static function draw(Paper $paper, bool $isDouble): string
    {
        [$left, $right] = [self::MARGIN, $paper->width - self::MARGIN];
        [$top, $bottom] = [self::MARGIN, $paper->height - self::MARGIN];
        $thin = $bold = '';
        foreach (self::places() as [$place, $isWhole]) {
            $line = 'M'.$left.' '.Xml::number($bottom - $place * ($bottom - $top)).'H'.$right;
            $isWhole ? $bold .= $line : $thin .= $line;
        }
        foreach ($isDouble ? self::places() : self::even() as [$place, $isWhole]) {
            $line = 'M'.Xml::number($left + $place * ($right - $left)).' '.$top.'V'.$bottom;
            $isWhole ? $bold .= $line : $thin .= $line;
        }

        return Xml::element('path', ['d' => $thin, 'stroke' => '#cfd9dd', 'stroke-width' => 1.2, 'fill' => 'none']).
            Xml::element('path', ['d' => $bold, 'stroke' => '#9fb0b6', 'stroke-width' => 2.2, 'fill' => 'none']);
    }

    /** @return list<array{float, bool}> from 0 to 1, and whether it is a power of ten */
    private static function places(): array
    {
        $places = [];
        for ($decade = 0; $decade < self::DECADES; $decade++) {
            for ($n = 1; $n < 10; $n++) {
                $places[] = [($decade + log10($n)) / self::DECADES, $n === 1];
            }
        }

        return [...$places, [1.0, true]];
    }

    /** @return list<array{float, bool}> */
    private static function even(): array
    {
        return array_map(
            static fn (int $i): array => [$i / self::STEPS, $i % 5 === 0],
            range(0, self::STEPS),
        );
    }
}
