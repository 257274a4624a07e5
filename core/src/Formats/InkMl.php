<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Scene;
use Crag\Prompt\Paper;
use Crag\Render\Xml;

/**
 * Ink as InkML (W3C Recommendation of 20 September 2011), written. Channels X, Y, F (pressure 0–255) and T
 * (milliseconds); a page unit is a tenth of a millimetre, so that X and Y count hundredths (section 3.2.1:
 * traceFormat; 3.1: trace; 4.3.6: activeArea, the page's size; 5.1: brush).
 */
final class InkMl
{
    public const NAMESPACE = 'http://www.w3.org/2003/InkML';

    /** Tenths of a page unit in a millimetre. */
    public const PER_MM = 100;

    /** All strokes of a scene, a trace group for each page. */
    public static function write(Scene $scene): string
    {
        $brushes = $contexts = $groups = '';
        $named = $papers = [];
        $n = 0;
        foreach (array_keys($scene->pages) as $page) {
            $traces = '';
            $paper = $scene->paper((string) $page);
            if (! isset($papers[$paper->text()])) {
                $papers[$paper->text()] = 'paper'.(count($papers) + 1);
                $contexts .= self::context($papers[$paper->text()], $paper);
            }
            foreach ($scene->onPage((string) $page) as $placed) {
                if (! ($placed->object instanceof Stroke)) {
                    continue;
                }
                $brush = self::brush($placed);
                if (! isset($named[$brush])) {
                    $named[$brush] = 'brush'.(count($named) + 1);
                    $brushes .= Xml::element('brush', ['xml:id' => $named[$brush]], $brush);
                }
                $traces .= Xml::element(
                    'trace',
                    ['contextRef' => '#'.$papers[$paper->text()], 'brushRef' => '#'.$named[$brush]],
                    self::trace($placed),
                );
            }
            $groups .= Xml::element('traceGroup', ['xml:id' => 'page'.++$n], $traces);
        }

        return '<?xml version="1.0" encoding="UTF-8"?>'.
            Xml::element(
                'ink',
                ['xmlns' => self::NAMESPACE],
                Xml::element('definitions', [], $contexts.$brushes).$groups,
            );
    }

    private static function context(string $name, Paper $paper): string
    {
        $channels = $resolutions = '';
        foreach (['X', 'Y', 'F', 'T'] as $name) {
            $channels .= Xml::element(
                'channel',
                ['name' => $name, 'type' => 'integer'] + ($name === 'T' ? ['units' => 'ms'] : ['units' => 'dev']),
            );
        }
        foreach (['X', 'Y'] as $name) {
            $resolutions .= Xml::element('channelProperty', [
                'channel' => $name,
                'name' => 'resolution',
                'value' => self::PER_MM,
                'units' => '1/mm',
            ]);
        }
        $source = Xml::element(
            'inkSource',
            ['xml:id' => "{$name}-pen"],
            Xml::element('traceFormat', [], $channels).
                Xml::element('channelProperties', [], $resolutions).
                Xml::element('activeArea', [
                    'width' => ($paper->width * Paper::TENTHS) / self::PER_MM,
                    'height' => ($paper->height * Paper::TENTHS) / self::PER_MM,
                    'units' => 'mm',
                ]),
        );

        return Xml::element('context', ['xml:id' => $name], $source);
    }

    private static function brush(PlacedObject $placed): string
    {
        /** @var Stroke $stroke */
        $stroke = $placed->object;
        $width = ($stroke->width / self::PER_MM) * ($placed->place === null ? 1 : $placed->place->scale / 10_000);
        $brush =
            Xml::element('brushProperty', ['name' => 'color', 'value' => $stroke->colour->hex]).
            Xml::element('brushProperty', ['name' => 'width', 'value' => round($width, 2), 'units' => 'mm']);

        return $brush.
            ($stroke->highlights ? Xml::element('brushProperty', ['name' => 'rasterOp', 'value' => 'maskPen']) : '');
    }

    private static function trace(PlacedObject $placed): string
    {
        /** @var Stroke $stroke */
        $stroke = $placed->object;
        [$a, $b, $c, $d, $e, $f] = $placed->place?->matrix() ?? [1.0, 0.0, 0.0, 1.0, 0.0, 0.0];

        return implode(
            ',',
            array_map(
                static fn (array $sample): string => sprintf(
                    '%d %d %d %d',
                    round($a * $sample[0] + $c * $sample[1] + $e * Paper::TENTHS),
                    round($b * $sample[0] + $d * $sample[1] + $f * Paper::TENTHS),
                    $sample[2],
                    $sample[3],
                ),
                $stroke->ink->samples(),
            ),
        );
    }

    /**
     * The strokes of a file, all pages together.
     *
     * @return list<Stroke>
     *
     * @throws UnreadableFile
     */
    public static function read(string $xml): array
    {
        return (new InkMlReader($xml))->strokes();
    }
}
