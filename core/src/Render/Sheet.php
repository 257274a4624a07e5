<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Checks\Level;

/** Canvases on a sheet of A4 across, with a header: a page of a record. Units are points (1/72 inch). */
final class Sheet
{
    /** How many may stand on one. */
    public const COUNTS = [1, 2, 4, 6];

    public const WIDTH = 842;

    public const HEIGHT = 595;

    public const MARGIN = 36;

    private const FOOT = 18;

    /** However long the words are, the canvas keeps so much of the height. */
    private const LEAST = 200;

    /** So many letters fill a line, at a size of 11. */
    private const LETTERS = 128;

    private const GAP = 18;

    /** One canvas, as large as the sheet allows under all that was asked and answered in words. */
    public static function document(
        string $title,
        string $date,
        SheetCell $cell,
        Pictures $pictures,
        int $n = 1,
    ): string {
        $right = self::WIDTH - self::MARGIN;
        $hasCheck = $cell->level !== null || $cell->found !== '';
        $inside =
            self::write(self::MARGIN, 48, 18, $cell->label, 'bold').
            self::write($right, 48, 11, $title.' · '.$date, 'normal', 'end').
            self::write(self::MARGIN, 66, 11, self::oneLine($cell->heading, $hasCheck ? 80 : 120), 'bold').
            self::strata($cell, $right, 66, 11, 60);
        $at = 66;
        foreach (
            [
                ...Lines::of($cell->words, self::LETTERS),
                ...array_merge(
                    ...array_map(
                        static fn (string $answer): array => Lines::of($answer, self::LETTERS),
                        $cell->answers,
                    ),
                ),
            ] as $line
        ) {
            $inside .= self::write(self::MARGIN, $at += 14, 11, $line);
        }
        $note = Lines::of(trim($cell->note), self::LETTERS);
        foreach ($note as $i => $line) {
            $inside .= self::write(self::MARGIN, self::HEIGHT - self::FOOT - 14 * (count($note) - 1 - $i), 11, $line);
        }
        $top = $at + 12;
        $low = self::HEIGHT - self::FOOT - 14 * count($note) - 4;

        return self::page(
            $n,
            $inside.
                self::canvas(
                    $cell,
                    $pictures,
                    self::MARGIN,
                    $top,
                    self::WIDTH - 2 * self::MARGIN,
                    max(self::LEAST, $low - $top),
                ),
        );
    }

    /**
     * Several on one sheet, row by row; of long words as much as leaves the canvas two thirds of its place.
     *
     * @param  list<SheetCell>  $cells  as many as stand on it, or fewer on the last
     * @param  int  $count  for how many there is room
     */
    public static function several(
        string $title,
        string $date,
        array $cells,
        int $count,
        Pictures $pictures,
        int $n = 1,
    ): string {
        $across = $count <= 2 ? $count : ($count === 4 ? 2 : 3);
        $down = intdiv($count + $across - 1, $across);
        $top = 52;
        $width = (self::WIDTH - 2 * self::MARGIN - ($across - 1) * self::GAP) / $across;
        $height = (self::HEIGHT - $top - self::MARGIN - ($down - 1) * self::GAP) / $down;
        $letters = (int) ($width / 4.4);
        $most = (int) ($height / 30);
        $inside = self::write(self::WIDTH - self::MARGIN, 36, 10, $title.' · '.$date, 'normal', 'end');
        foreach ($cells as $i => $cell) {
            $x = self::MARGIN + ($i % $across) * ($width + self::GAP);
            $y = $top + intdiv($i, $across) * ($height + self::GAP);
            $hasCheck = $cell->level !== null || $cell->found !== '';
            $answers = Lines::atMost(implode("\n", $cell->answers), $letters, $most);
            $words = Lines::atMost($cell->words, $letters, max(1, $most - count($answers)));
            $inside .=
                self::write(
                    $x,
                    $y + 10,
                    11,
                    self::oneLine($cell->label, (int) ($width / ($hasCheck ? 11 : 5.5))),
                    'bold',
                ).self::strata($cell, $x + $width, $y + 10, 8, (int) ($width / 10));
            $at = $y + 12;
            foreach ([$cell->heading, ...$words, ...$answers] as $line) {
                $inside .= self::write($x, $at += 10, 8, $line);
            }
            $inside .=
                self::canvas(
                    $cell,
                    $pictures,
                    $x,
                    $at + 6,
                    $width,
                    $y + $height - $at - 6 - ($cell->note === '' ? 0 : 12),
                ).self::write($x, $y + $height, 8, self::oneLine($cell->note, $letters));
        }

        return self::page($n, $inside);
    }

    /** A numbered sheet with what stands on it. */
    public static function page(int $n, string $inside): string
    {
        return Xml::element(
            'svg',
            [
                'xmlns' => 'http://www.w3.org/2000/svg',
                'width' => self::WIDTH.'pt',
                'height' => self::HEIGHT.'pt',
                'viewBox' => '0 0 '.self::WIDTH.' '.self::HEIGHT,
            ],
            Xml::element('rect', ['width' => self::WIDTH, 'height' => self::HEIGHT, 'fill' => '#ffffff']).
                $inside.
                self::write(self::WIDTH - self::MARGIN, self::HEIGHT - 16, 9, (string) $n, 'normal', 'end'),
        );
    }

    private static function canvas(
        SheetCell $cell,
        Pictures $pictures,
        float $x,
        float $y,
        float $width,
        float $height,
    ): string {
        $paper = $cell->scene->paper($cell->page);
        $scale = min($width / $paper->width, $height / $paper->height);
        $place = [
            'x' => $x + ($width - $paper->width * $scale) / 2,
            'y' => $y,
            'width' => $paper->width * $scale,
            'height' => $paper->height * $scale,
        ];

        // A nested svg cuts off what a pen drew beyond the edge of the page; the edge itself is drawn over it, whole.
        return Xml::element(
            'svg',
            $place + ['viewBox' => "0 0 {$paper->width} {$paper->height}"],
            SceneSvg::draw($cell->scene, $pictures, $cell->page),
        ).Xml::element('rect', $place + ['fill' => 'none', 'stroke' => '#8b8578', 'stroke-width' => 0.75]);
    }

    public static function write(
        float $x,
        float $y,
        int $size,
        string $text,
        string $weight = 'normal',
        string $anchor = 'start',
    ): string {
        return Xml::words($x, $y, $size, $text, [
            'font-weight' => $weight,
            'text-anchor' => $anchor,
            'fill' => '#25323b',
        ]);
    }

    /** Three short stacked bars, filled from the bottom, and what was found in words, ending at $right. */
    private static function strata(SheetCell $cell, float $right, float $base, int $size, int $longest): string
    {
        $words = $cell->found === '' ? $cell->level?->word() ?? '' : $cell->found;
        if ($cell->level === null) {
            return self::write($right, $base, $size, self::oneLine($words, $longest), 'normal', 'end');
        }
        $bars = '';
        for ($layer = 1; $layer <= Level::Secure->value; $layer++) {
            $bars .= Xml::element('rect', [
                'x' => $right - 18,
                'y' => $base + 6 - 6 * $layer,
                'width' => 18,
                'height' => 4,
                'rx' => 1,
                'fill' => $layer <= $cell->level->value ? '#25323b' : 'none',
                'stroke' => '#25323b',
                'stroke-width' => 0.7,
            ]);
        }

        return $bars.self::write($right - 24, $base, $size, self::oneLine($words, $longest), 'normal', 'end');
    }

    private static function oneLine(string $words, int $longest): string
    {
        $line = trim((string) preg_replace('/\s+/u', ' ', $words));

        return mb_strlen($line) > $longest ? mb_substr($line, 0, $longest - 1).'…' : $line;
    }
}
