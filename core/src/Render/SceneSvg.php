<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Drawing\CutOut;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Scene;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Paper;

/** A scene's page as SVG: the one drawing from which every PDF and PNG is made. */
final class SceneSvg
{
    public const FONT = 'Atkinson Hyperlegible Next, DejaVu Sans, sans-serif';

    public const CODE_FONT = 'Atkinson Hyperlegible Mono, DejaVu Sans Mono, monospace';

    /** What each object was, beside its drawing, in a drawing that can be brought in again. */
    public const OBJECT = 'data-crag';

    /** A whole SVG document of one page. */
    public static function document(Scene $scene, Pictures $pictures, string $page = ''): string
    {
        return self::page($scene->paper($page), self::draw($scene, $pictures, $page));
    }

    /** A part of a page alone. */
    public static function part(Scene $scene, Pictures $pictures, string $page, CutOut $cut): string
    {
        return Xml::element(
            'svg',
            [
                'xmlns' => 'http://www.w3.org/2000/svg',
                'width' => $cut->w,
                'height' => $cut->h,
                'viewBox' => implode(' ', array_map(Xml::number(...), [$cut->x, $cut->y, $cut->w, $cut->h])),
            ],
            self::draw($scene, $pictures, $page),
        );
    }

    /** What is drawn on a page without what it lies on. */
    public static function ink(Scene $scene, Pictures $pictures, string $page = ''): string
    {
        $draw = new ObjectSvg($pictures);
        $drawing = '';
        foreach ($scene->onPage($page) as $placed) {
            $drawing .= self::placed($placed, $draw->draw($placed->object), false);
        }

        return self::page($scene->paper($page), $drawing);
    }

    /**
     * The same, with each object's own form beside its drawing, so that nothing is lost when it is brought in again.
     */
    public static function exchange(Scene $scene, Pictures $pictures, string $page = ''): string
    {
        return self::page($scene->paper($page), self::draw($scene, $pictures, $page, true));
    }

    /** A whole SVG document of a backdrop alone. */
    public static function backdrop(Backdrop $backdrop, Pictures $pictures): string
    {
        return self::page($backdrop->paper, BackdropSvg::draw($backdrop, $pictures));
    }

    /** The drawing in page units, to stand inside another document. */
    public static function draw(Scene $scene, Pictures $pictures, string $page = '', bool $named = false): string
    {
        $draw = new ObjectSvg($pictures);
        $drawing = Xml::element(
            'g',
            $named ? ['id' => 'backdrop'] : [],
            // Boxes belong to the sheet: brought in again, they are no drawing.
            BackdropSvg::draw($scene->backdrop($page), $pictures).AnswerBoxes::draw($scene, $page),
        );
        foreach ($scene->onPage($page) as $placed) {
            $drawing .= self::placed($placed, $draw->draw($placed->object), $named);
        }

        return $drawing;
    }

    public static function placed(PlacedObject $placed, string $drawing, bool $named): string
    {
        $attributes = $named ? [self::OBJECT => self::named($placed)] : [];
        if ($placed->place !== null) {
            [$a, $b, $c, $d, $e, $f] = array_map(
                static fn (float $n): string => rtrim(rtrim(number_format($n, 6, '.', ''), '0'), '.'),
                $placed->place->matrix(),
            );
            $attributes['transform'] = "matrix({$a} {$b} {$c} {$d} {$e} {$f})";
        }

        return $attributes === [] ? $drawing : Xml::element('g', $attributes, $drawing);
    }

    private static function named(PlacedObject $placed): string
    {
        return json_encode(
            ['object' => $placed->object->toArray()] +
                ($placed->place === null ? [] : ['place' => $placed->place->toArray()]),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    private static function page(Paper $paper, string $inside): string
    {
        return Xml::element(
            'svg',
            [
                'xmlns' => 'http://www.w3.org/2000/svg',
                'width' => $paper->width,
                'height' => $paper->height,
                'viewBox' => "0 0 {$paper->width} {$paper->height}",
            ],
            $inside,
        );
    }
}
