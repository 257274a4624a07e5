<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Page;
use Crag\Prompt\Backdrop;
use Crag\Prompt\BackdropKind;

/** A backdrop as SVG, in page units: white paper and what is ruled on it. */
final class BackdropSvg
{
    /** Between two lines or dots, in units. */
    private const STEP = 50;

    private const LINE = '#cfd9dd';

    public static function draw(Backdrop $backdrop, Pictures $pictures): string
    {
        $paper = Xml::element('rect', ['width' => Page::WIDTH, 'height' => Page::HEIGHT, 'fill' => '#ffffff']);

        return $paper.match ($backdrop->kind) {
            BackdropKind::Blank => '',
            BackdropKind::Squared => self::lines(self::columns().self::rows(self::STEP)),
            BackdropKind::Lined => self::lines(self::rows(60)),
            BackdropKind::Dotted => self::dots(),
            BackdropKind::Isometric => self::lines(self::isometric()),
            BackdropKind::Picture => self::picture((string) $backdrop->asset, $pictures),
        };
    }

    private static function lines(string $path): string
    {
        return Xml::element('path', ['d' => $path, 'stroke' => self::LINE, 'stroke-width' => 1.5, 'fill' => 'none']);
    }

    private static function columns(): string
    {
        $path = '';
        for ($x = self::STEP; $x < Page::WIDTH; $x += self::STEP) {
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

    private static function dots(): string
    {
        $path = '';
        for ($y = self::STEP; $y < Page::HEIGHT; $y += self::STEP) {
            for ($x = self::STEP; $x < Page::WIDTH; $x += self::STEP) {
                $path .= "M{$x} {$y}h0.01";
            }
        }

        return Xml::element('path', [
            'd' => $path, 'stroke' => '#9fb0b6', 'stroke-width' => 5, 'stroke-linecap' => 'round', 'fill' => 'none',
        ]);
    }

    /** Upright lines and lines at 30° to both sides: every side of a triangle is one step long. */
    private static function isometric(): string
    {
        $across = self::STEP * sqrt(3) / 2;
        $path = '';
        for ($x = $across; $x < Page::WIDTH; $x += $across) {
            $path .= 'M'.Xml::number($x).' 0V'.Page::HEIGHT;
        }
        $fall = Page::WIDTH / sqrt(3);
        for ($y = -ceil($fall / self::STEP) * self::STEP; $y < Page::HEIGHT + $fall; $y += self::STEP) {
            $path .= 'M0 '.Xml::number($y).'L'.Page::WIDTH.' '.Xml::number($y + $fall);
            $path .= 'M0 '.Xml::number($y).'L'.Page::WIDTH.' '.Xml::number($y - $fall);
        }

        return $path;
    }

    private static function picture(string $asset, Pictures $pictures): string
    {
        $source = $pictures->source($asset);

        return $source === null ? '' : Xml::element('image', [
            'href' => $source, 'width' => Page::WIDTH, 'height' => Page::HEIGHT,
            'preserveAspectRatio' => 'xMidYMid meet',
        ]);
    }
}
