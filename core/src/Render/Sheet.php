<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Page;
use Crag\Canvas\Scene;
use Crag\Checks\Level;

/** One canvas on a sheet of A4 across, with a header: a page of a record. Units are points (1/72 inch). */
final class Sheet
{
    private const WIDTH = 842;

    private const HEIGHT = 595;

    private const MARGIN = 36;

    private const TOP = 84;

    /**
     * @param  string  $label  whose canvas it is
     * @param  string  $words  the prompt's words
     * @param  ?Level  $level  the check to print, if any
     * @param  string  $page  which of the canvas's pages
     * @param  string  $found  what was found in it, in words; empty as the level says
     * @param  string  $note  what the teacher wrote about it
     */
    public static function document(
        string $title,
        string $date,
        string $label,
        string $words,
        Scene $scene,
        Pictures $pictures,
        ?Level $level = null,
        string $page = '',
        string $found = '',
        string $note = '',
    ): string {
        $inside = self::write(self::MARGIN, 48, 18, $label, 'bold')
            .self::write(self::WIDTH - self::MARGIN, 48, 11, $title.' · '.$date, 'normal', 'end')
            .self::write(self::MARGIN, 70, 11, self::oneLine($words, $level === null && $found === '' ? 120 : 80))
            .self::strata($level, $found === '' ? $level?->word() ?? '' : $found)
            .self::write(self::MARGIN, self::HEIGHT - 16, 11, self::oneLine($note, 150))
            .self::canvas($scene, $pictures, $page);

        return Xml::element('svg', [
            'xmlns' => 'http://www.w3.org/2000/svg',
            'width' => self::WIDTH.'pt',
            'height' => self::HEIGHT.'pt',
            'viewBox' => '0 0 '.self::WIDTH.' '.self::HEIGHT,
        ], Xml::element('rect', ['width' => self::WIDTH, 'height' => self::HEIGHT, 'fill' => '#ffffff']).$inside);
    }

    private static function canvas(Scene $scene, Pictures $pictures, string $page): string
    {
        $height = self::HEIGHT - self::TOP - self::MARGIN;
        $scale = min((self::WIDTH - 2 * self::MARGIN) / Page::WIDTH, $height / Page::HEIGHT);
        $left = (self::WIDTH - Page::WIDTH * $scale) / 2;
        $frame = Xml::element('rect', [
            'width' => Page::WIDTH, 'height' => Page::HEIGHT, 'fill' => 'none', 'stroke' => '#8b8578', 'stroke-width' => 2,
        ]);

        // A nested svg cuts off what a pen drew beyond the edge of the page.
        return Xml::element('svg', [
            'x' => $left,
            'y' => self::TOP,
            'width' => Page::WIDTH * $scale,
            'height' => Page::HEIGHT * $scale,
            'viewBox' => '0 0 '.Page::WIDTH.' '.Page::HEIGHT,
        ], SceneSvg::draw($scene, $pictures, $page).$frame);
    }

    private static function write(
        float $x,
        float $y,
        int $size,
        string $text,
        string $weight = 'normal',
        string $anchor = 'start',
    ): string {
        return $text === '' ? '' : Xml::element('text', [
            'x' => $x, 'y' => $y, 'font-family' => SceneSvg::FONT, 'font-size' => $size, 'font-weight' => $weight,
            'text-anchor' => $anchor, 'fill' => '#25323b',
        ], Xml::text($text));
    }

    /** Three short stacked bars, filled from the bottom, and the level's word. */
    private static function strata(?Level $level, string $words): string
    {
        $bars = '';
        for ($layer = 1; $level !== null && $layer <= 3; $layer++) {
            $bars .= Xml::element('rect', [
                'x' => self::WIDTH - self::MARGIN - 18, 'y' => 76 - 6 * $layer, 'width' => 18, 'height' => 4, 'rx' => 1,
                'fill' => $layer <= $level->value ? '#25323b' : 'none', 'stroke' => '#25323b', 'stroke-width' => 0.7,
            ]);
        }

        return $bars.self::write(self::WIDTH - self::MARGIN - ($level === null ? 0 : 24), 70, 11, self::oneLine($words, 60), 'normal', 'end');
    }

    private static function oneLine(string $words, int $longest): string
    {
        $line = trim((string) preg_replace('/\s+/u', ' ', $words));

        return mb_strlen($line) > $longest ? mb_substr($line, 0, $longest - 1).'…' : $line;
    }
}
