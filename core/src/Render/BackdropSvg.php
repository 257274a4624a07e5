<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Backdrop\BackdropKind;
use Crag\Prompt\Paper;
use Crag\Render\Papers\FrameSvg;
use Crag\Render\Papers\LogSvg;
use Crag\Render\Papers\MapSvg;
use Crag\Render\Papers\MillimetreSvg;
use Crag\Render\Papers\PolarSvg;
use Crag\Render\Papers\StavesSvg;

/** A backdrop as SVG, in page units: white paper and what is ruled on it. */
final class BackdropSvg
{
    public const LINE = '#cfd9dd';

    /** Between the lines of lined paper, in units. */
    private const LINED = 60;

    public static function draw(Backdrop $backdrop, Pictures $pictures): string
    {
        $paper = $backdrop->paper;
        $sheet = Xml::element('rect', ['width' => $paper->width, 'height' => $paper->height, 'fill' => '#ffffff']);
        $step = $backdrop->size->step();

        return $sheet.
            match ($backdrop->kind) {
                BackdropKind::Blank => '',
                BackdropKind::Squared => self::lines(self::columns($step, $paper).self::rows($step, $paper)),
                BackdropKind::Lined => self::lines(self::rows(self::LINED, $paper)),
                BackdropKind::Dotted => self::dots($step, $paper),
                BackdropKind::Isometric => self::lines(self::isometric($step, $paper)),
                BackdropKind::Axes => $backdrop->axes === null ? '' : AxesSvg::draw($backdrop->axes, $paper),
                BackdropKind::NumberLine => $backdrop->line === null
                    ? ''
                    : NumberLineSvg::draw($backdrop->line, $backdrop->parts, $paper),
                BackdropKind::Staves => StavesSvg::draw($paper, $backdrop->variant),
                BackdropKind::Millimetre => MillimetreSvg::draw($paper),
                BackdropKind::Polar => PolarSvg::draw($paper, $backdrop->count()),
                BackdropKind::Log => LogSvg::draw($paper, $backdrop->variant === 'both'),
                BackdropKind::Timeline => FrameSvg::timeline($paper, $backdrop->count()),
                BackdropKind::Comparison => FrameSvg::comparison($paper, $backdrop->count()),
                BackdropKind::Causes => FrameSvg::causes($paper, $backdrop->count()),
                BackdropKind::Map => MapSvg::draw($paper, $backdrop->variant),
                BackdropKind::Picture => self::picture((string) $backdrop->asset, $pictures, $paper),
            };
    }

    private static function lines(string $path, string $colour = self::LINE): string
    {
        return Xml::element('path', ['d' => $path, 'stroke' => $colour, 'stroke-width' => 1.5, 'fill' => 'none']);
    }

    private static function columns(int $step, Paper $paper): string
    {
        $path = '';
        for ($x = $step; $x < $paper->width; $x += $step) {
            $path .= "M{$x} 0V".$paper->height;
        }

        return $path;
    }

    private static function rows(int $step, Paper $paper): string
    {
        $path = '';
        for ($y = $step; $y < $paper->height; $y += $step) {
            $path .= "M0 {$y}H".$paper->width;
        }

        return $path;
    }

    private static function dots(int $step, Paper $paper): string
    {
        $path = '';
        for ($y = $step; $y < $paper->height; $y += $step) {
            for ($x = $step; $x < $paper->width; $x += $step) {
                $path .= "M{$x} {$y}h0.01";
            }
        }

        return Xml::element('path', [
            'd' => $path,
            'stroke' => '#9fb0b6',
            'stroke-width' => $step < 50 ? 4 : 5,
            'stroke-linecap' => 'round',
            'fill' => 'none',
        ]);
    }

    /** Upright lines and lines at 30° to both sides: every side of a triangle is one step long. */
    private static function isometric(int $step, Paper $paper): string
    {
        $across = ($step * sqrt(3)) / 2;
        $path = '';
        for ($x = $across; $x < $paper->width; $x += $across) {
            $path .= 'M'.Xml::number($x).' 0V'.$paper->height;
        }
        $fall = $paper->width / sqrt(3);
        for ($y = -ceil($fall / $step) * $step; $y < $paper->height + $fall; $y += $step) {
            $path .= 'M0 '.Xml::number($y).'L'.$paper->width.' '.Xml::number($y + $fall);
            $path .= 'M0 '.Xml::number($y).'L'.$paper->width.' '.Xml::number($y - $fall);
        }

        return $path;
    }

    private static function picture(string $asset, Pictures $pictures, Paper $paper): string
    {
        $source = $pictures->source($asset);

        return $source === null
            ? ''
            : Xml::element('image', [
                'href' => $source,
                'width' => $paper->width,
                'height' => $paper->height,
                'preserveAspectRatio' => 'xMidYMid meet',
            ]);
    }
}
