<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Page;
use Crag\Canvas\Scene;
use Crag\Prompt\Backdrop;
use LogicException;

/** A scene as SVG: the one drawing from which every PDF and PNG is made. */
final class SceneSvg
{
    public const FONT = 'Atkinson Hyperlegible Next, DejaVu Sans, sans-serif';

    /** A whole SVG document of one page. */
    public static function document(Scene $scene, Pictures $pictures): string
    {
        return self::page(self::draw($scene, $pictures));
    }

    /** A whole SVG document of a backdrop alone. */
    public static function backdrop(Backdrop $backdrop, Pictures $pictures): string
    {
        return self::page(BackdropSvg::draw($backdrop, $pictures));
    }

    /** The drawing in page units, to stand inside another document. */
    public static function draw(Scene $scene, Pictures $pictures): string
    {
        return BackdropSvg::draw($scene->backdrop, $pictures).implode('', array_map(self::object(...), $scene->objects));
    }

    private static function page(string $inside): string
    {
        return Xml::element('svg', [
            'xmlns' => 'http://www.w3.org/2000/svg',
            'width' => Page::WIDTH,
            'height' => Page::HEIGHT,
            'viewBox' => '0 0 '.Page::WIDTH.' '.Page::HEIGHT,
        ], $inside);
    }

    private static function object(CanvasObject $object): string
    {
        return match (true) {
            $object instanceof Stroke => self::stroke($object),
            $object instanceof Text => self::text($object),
            default => throw new LogicException('Nothing draws a '.$object::class.'.'),
        };
    }

    private static function stroke(Stroke $stroke): string
    {
        $paths = '';
        foreach (StrokeRuns::of($stroke) as [$width, $path]) {
            $paths .= Xml::element('path', ['d' => $path, 'stroke-width' => $width]);
        }

        return Xml::element('g', [
            'stroke' => $stroke->colour->hex, 'fill' => 'none', 'stroke-linecap' => 'round', 'stroke-linejoin' => 'round',
        ], $paths);
    }

    private static function text(Text $text): string
    {
        $lines = '';
        foreach ($text->lines() as $i => $line) {
            $lines .= Xml::element('text', [
                'x' => $text->x / Page::TENTHS,
                'y' => $text->y / Page::TENTHS + $text->size * (Text::ASCENT + $i * Text::LINE_HEIGHT),
                'xml:space' => 'preserve',
            ], Xml::text($line));
        }

        return Xml::element('g', [
            'font-family' => self::FONT, 'font-size' => $text->size, 'fill' => $text->colour->hex,
            // Letters stand where their widths put them, not on whole pixels: as a browser's canvas sets them.
            'text-rendering' => 'geometricPrecision',
        ], $lines);
    }
}
