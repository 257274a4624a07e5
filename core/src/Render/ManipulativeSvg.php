<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\Manipulative;
use Crag\Manipulative\Sketch;
use Crag\Prompt\Paper;
use LogicException;

/** A manipulative as SVG, in page units. resources/ts/canvas/drawing/manipulative.ts draws the same. */
final class ManipulativeSvg
{
    private const LINE = 2;

    public static function draw(Manipulative $object): string
    {
        $inside = Xml::element('title', [], Xml::text((string) $object->says()));
        foreach ($object->sketch()->shapes as $shape) {
            $inside .= self::shape($shape);
        }

        return Xml::element('g', [
            'transform' => 'translate('.Xml::number($object->x / Paper::TENTHS).' '.
                Xml::number($object->y / Paper::TENTHS).')',
            'font-family' => SceneSvg::FONT,
            'text-rendering' => 'geometricPrecision',
            'stroke-linecap' => 'round',
            'stroke-linejoin' => 'round',
        ], $inside);
    }

    /** @param  array<string, mixed>  $shape */
    private static function shape(array $shape): string
    {
        /** @var list<float> $at */
        $at = $shape['at'];
        $look = [
            'fill' => self::colour($shape['fill'] ?? ''),
            'stroke' => self::colour($shape['line'] ?? ''),
            'stroke-width' => is_int($shape['width'] ?? null) ? $shape['width'] : self::LINE,
        ];

        return match ($shape['is']) {
            'rect' => Xml::element('rect', [
                'x' => $at[0],
                'y' => $at[1],
                'width' => max(0, $at[2]),
                'height' => max(0, $at[3]),
                'rx' => is_int($shape['radius']) ? $shape['radius'] : 0,
            ] + $look),
            'circle' => Xml::element('circle', ['cx' => $at[0], 'cy' => $at[1], 'r' => max(0, $at[2])] + $look),
            'polygon' => Xml::element('polygon', ['points' => implode(' ', $at)] + $look),
            'line' => Xml::element(
                'polyline',
                ['points' => implode(' ', $at)] + $look +
                    ($shape['dashed'] === true ? ['stroke-dasharray' => '6 6'] : []),
            ),
            'words' => Xml::element('text', [
                'x' => $at[0],
                'y' => $at[1] + (is_int($shape['size']) ? $shape['size'] : 0) * 0.35,
                'font-size' => is_int($shape['size']) ? $shape['size'] : 0,
                'text-anchor' => is_string($shape['anchor']) ? $shape['anchor'] : 'middle',
                'fill' => self::colour($shape['fill']),
            ], Xml::text(is_string($shape['words']) ? $shape['words'] : '')),
            default => throw new LogicException('Nothing draws that shape.'),
        };
    }

    private static function colour(mixed $name): string
    {
        return Sketch::COLOURS[is_string($name) ? $name : ''] ?? throw new LogicException('No such colour.');
    }
}
