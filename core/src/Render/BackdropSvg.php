<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Backdrop\BackdropKind;
use Crag\Prompt\Page;

/** A backdrop as SVG, in page units: white paper and what is ruled on it. */
final class BackdropSvg
{
    public const LINE = '#cfd9dd';

    /** Between the lines of lined paper, in units. */
    private const LINED = 60;

    public static function draw(Backdrop $backdrop, Pictures $pictures): string
    {
        $paper = Xml::element('rect', ['width' => Page::WIDTH, 'height' => Page::HEIGHT, 'fill' => '#ffffff']);
        $step = $backdrop->size->step();

        return $paper.
            match ($backdrop->kind) {
                BackdropKind::Blank => '',
                BackdropKind::Squared => self::lines(self::columns($step).self::rows($step)),
                BackdropKind::Lined => self::lines(self::rows(self::LINED)),
                BackdropKind::Dotted => self::dots($step),
                BackdropKind::Isometric => self::lines(self::isometric($step)),
                BackdropKind::Axes => $backdrop->axes === null ? '' : AxesSvg::draw($backdrop->axes),
                BackdropKind::NumberLine => $backdrop->line === null
                    ? ''
                    : NumberLineSvg::draw($backdrop->line, $backdrop->parts),
                BackdropKind::Staves => self::staves(),
                BackdropKind::Picture => self::picture((string) $backdrop->asset, $pictures),
            };
    }

    private static function lines(string $path, string $colour = self::LINE): string
    {
        return Xml::element('path', ['d' => $path, 'stroke' => $colour, 'stroke-width' => 1.5, 'fill' => 'none']);
    }

    private static function columns(int $step): string
    {
        $path = '';
        for ($x = $step; $x < Page::WIDTH; $x += $step) {
            $path .= "M{$x} 0V".Page::HEIGHT;
        }

        return $path;
    }

    private static function rows(int $step): string
    {
        $path = '';
        for ($y = $step; $y < Page::HEIGHT; $y += $step) {
            $path .= "M0 {$y}H".Page::WIDTH;
        }

        return $path;
    }

    private static function dots(int $step): string
    {
        $path = '';
        for ($y = $step; $y < Page::HEIGHT; $y += $step) {
            for ($x = $step; $x < Page::WIDTH; $x += $step) {
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
    private static function isometric(int $step): string
    {
        $across = ($step * sqrt(3)) / 2;
        $path = '';
        for ($x = $across; $x < Page::WIDTH; $x += $across) {
            $path .= 'M'.Xml::number($x).' 0V'.Page::HEIGHT;
        }
        $fall = Page::WIDTH / sqrt(3);
        for ($y = -ceil($fall / $step) * $step; $y < Page::HEIGHT + $fall; $y += $step) {
            $path .= 'M0 '.Xml::number($y).'L'.Page::WIDTH.' '.Xml::number($y + $fall);
            $path .= 'M0 '.Xml::number($y).'L'.Page::WIDTH.' '.Xml::number($y - $fall);
        }

        return $path;
    }

    /** Five groups of five lines, room for ledger lines between them. */
    private static function staves(): string
    {
        $path = '';
        for ($stave = 0; $stave < 5; $stave++) {
            for ($line = 0; $line < 5; $line++) {
                $path .= 'M60 '.(90 + 180 * $stave + 22 * $line).'H'.(Page::WIDTH - 60);
            }
        }

        return self::lines($path, '#7d8b92');
    }

    private static function picture(string $asset, Pictures $pictures): string
    {
        $source = $pictures->source($asset);

        return $source === null
            ? ''
            : Xml::element('image', [
                'href' => $source,
                'width' => Page::WIDTH,
                'height' => Page::HEIGHT,
                'preserveAspectRatio' => 'xMidYMid meet',
            ]);
    }
}
