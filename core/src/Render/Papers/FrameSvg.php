<?php

declare(strict_types=1);

namespace Crag\Render\Papers;

use Crag\Prompt\Paper;
use Crag\Render\Xml;

/** Frames to be filled in: a line of time, a table to compare in, causes that lead to an effect. */
final class FrameSvg
{
    private const MARGIN = 70;

    private const LINE = '#7d8b92';

    /** A line across the middle with an arrow at its end, a mark for each part, and room above and below. */
    public static function timeline(Paper $paper, int $parts): string
    {
        $y = $paper->height / 2;
        [$left, $right] = [self::MARGIN, $paper->width - self::MARGIN];
        $path = 'M'.$left.' '.Xml::number($y).'H'.$right.'m-26 -16l26 16l-26 16';
        $boxes = '';
        $step = ($right - 40 - $left) / $parts;
        for ($i = 0; $i <= $parts; $i++) {
            $x = Xml::number($left + $i * $step);
            $path .= 'M'.$x.' '.Xml::number($y - 18).'v36';
        }
        for ($i = 0; $i < $parts; $i++) {
            // In turns above and below.
            $height = $y - self::MARGIN - 40;
            $boxes .= Xml::element('rect', [
                'x' => $left + $i * $step + 8,
                'y' => $i % 2 === 0 ? self::MARGIN : $y + 40,
                'width' => $step - 16,
                'height' => $height,
                'rx' => 8,
                'fill' => 'none',
                'stroke' => '#b7c6cc',
                'stroke-width' => 2,
            ]);
        }

        return self::lines($path, 3).$boxes;
    }

    /** Columns side by side with a row for their names, and one at the left for what is compared. */
    public static function comparison(Paper $paper, int $columns): string
    {
        [$left, $right] = [self::MARGIN, $paper->width - self::MARGIN];
        [$top, $bottom] = [self::MARGIN, $paper->height - self::MARGIN];
        $names = ($right - $left) / ($columns + 1.6) * 0.6 + 60;
        $head = 90;
        $rows = max(4, (int) round(($bottom - $top - $head) / 170));
        $path = 'M'.$left.' '.$top.'H'.$right.'V'.$bottom.'H'.$left.'Z';
        for ($i = 0; $i < $columns; $i++) {
            $path .= 'M'.Xml::number($left + $names + $i * ($right - $left - $names) / $columns).' '.$top.'V'.$bottom;
        }
        for ($i = 0; $i < $rows; $i++) {
            $path .= 'M'.$left.' '.Xml::number($top + $head + $i * ($bottom - $top - $head) / $rows).'H'.$right;
        }

        return Xml::element('rect', [
            'x' => $left, 'y' => $top, 'width' => $right - $left, 'height' => $head, 'fill' => '#eef2f3',
        ]).self::lines($path, 2.5);
    }

    /** Boxes at the left whose arrows lead to one at the right. */
    public static function causes(Paper $paper, int $causes): string
    {
        $width = $paper->width;
        $wide = 0.34 * $width;
        $effect = [
            'x' => $width - self::MARGIN - $wide,
            'y' => $paper->height * 0.3,
            'width' => $wide,
            'height' => $paper->height * 0.4,
        ];
        $room = ($paper->height - 2 * self::MARGIN) / $causes;
        $drawing = self::box($effect, 4);
        $path = '';
        for ($i = 0; $i < $causes; $i++) {
            $y = self::MARGIN + $i * $room;
            $drawing .= self::box(
                ['x' => self::MARGIN, 'y' => $y + 10, 'width' => $wide, 'height' => $room - 20],
                2.5,
            );
            [$fromX, $fromY] = [self::MARGIN + $wide + 8, $y + $room / 2];
            [$toX, $toY] = [$effect['x'] - 12, $effect['y'] + $effect['height'] * ($i + 0.5) / $causes];
            $turn = atan2($toY - $fromY, $toX - $fromX);
            $barb = static fn (float $by): string => 'L'.
                Xml::number($toX - 26 * cos($turn + $by)).' '.
                Xml::number($toY - 26 * sin($turn + $by));
            $tip = Xml::number($toX).' '.Xml::number($toY);
            $path .= 'M'.Xml::number($fromX).' '.Xml::number($fromY)."L{$tip}{$barb(0.45)}M{$tip}{$barb(-0.45)}";
        }

        return $drawing.self::lines($path, 3);
    }

    /** @param  array{x: float|int, y: float|int, width: float|int, height: float|int}  $place */
    private static function box(array $place, float $line): string
    {
        return Xml::element('rect', $place + [
            'rx' => 12,
            'fill' => 'none',
            'stroke' => self::LINE,
            'stroke-width' => $line,
        ]);
    }

    private static function lines(string $path, float $width): string
    {
        return Xml::element('path', [
            'd' => $path,
            'stroke' => self::LINE,
            'stroke-width' => $width,
            'stroke-linecap' => 'round',
            'fill' => 'none',
        ]);
    }
}
