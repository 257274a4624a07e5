<?php

declare(strict_types=1);

namespace Crag\Render;

/**
 * Offered work in its columns on sheets of A4 across: as many rows on each as stand there well. Units are points
 * (1/72 inch).
 */
final class BoardSheet
{
    private const GAP = 14;

    private const TOP = 84;

    private const ROWS = 3;

    /**
     * @param  non-empty-list<array{string, list<BoardCell>}>  $columns  each with its heading, from left to right
     * @return non-empty-list<string> SVG documents
     */
    public static function documents(string $title, string $date, array $columns, Pictures $pictures): array
    {
        $rows = max(1, ...array_map(static fn (array $column): int => count($column[1]), $columns));
        $sheets = [];
        for ($from = 0; $from < $rows; $from += self::ROWS) {
            $sheets[] = Sheet::page(
                count($sheets) + 1,
                self::sheet($title, $date, $columns, $from, min(self::ROWS, $rows), $pictures),
            );
        }

        return $sheets === [] ? [Sheet::page(1, '')] : $sheets;
    }

    /** @param  non-empty-list<array{string, list<BoardCell>}>  $columns */
    private static function sheet(
        string $title,
        string $date,
        array $columns,
        int $from,
        int $rows,
        Pictures $pictures,
    ): string {
        $width = (Sheet::WIDTH - 2 * Sheet::MARGIN - (count($columns) - 1) * self::GAP) / count($columns);
        $height = (Sheet::HEIGHT - self::TOP - Sheet::MARGIN - ($rows - 1) * self::GAP) / $rows;
        $letters = max(8, (int) ($width / 5));
        $inside = Sheet::write(Sheet::MARGIN, 48, 18, $title, 'bold').
            Sheet::write(Sheet::WIDTH - Sheet::MARGIN, 48, 11, $date, 'normal', 'end');
        foreach ($columns as $i => [$heading, $cells]) {
            $x = Sheet::MARGIN + $i * ($width + self::GAP);
            $inside .= Sheet::write($x, 72, 13, Lines::atMost($heading, (int) ($width / 6.5), 1)[0] ?? '', 'bold');
            foreach (array_slice($cells, $from, $rows) as $row => $cell) {
                $y = self::TOP + $row * ($height + self::GAP);
                $inside .= Sheet::write($x, $y + 9, 10, Lines::atMost($cell->label, $letters, 1)[0] ?? '', 'bold');
                $words = Lines::atMost($cell->words, $letters, 2);
                $inside .= self::drawing($cell, $pictures, $x, $y + 14, $width, $height - 16 - 11 * count($words));
                foreach ($words as $n => $line) {
                    $inside .= Sheet::write($x, $y + $height - 11 * (count($words) - 1 - $n), 9, $line);
                }
            }
        }

        return $inside;
    }

    private static function drawing(
        BoardCell $cell,
        Pictures $pictures,
        float $x,
        float $y,
        float $width,
        float $height,
    ): string {
        $paper = $cell->scene->paper($cell->page);
        [$left, $top, $wide, $tall] = $cell->cut === null
            ? [0, 0, $paper->width, $paper->height]
            : [$cell->cut->x, $cell->cut->y, $cell->cut->w, $cell->cut->h];
        $scale = min($width / $wide, $height / $tall);
        $place = ['x' => $x, 'y' => $y, 'width' => $wide * $scale, 'height' => $tall * $scale];

        return Xml::element(
            'svg',
            $place + ['viewBox' => implode(' ', array_map(Xml::number(...), [$left, $top, $wide, $tall]))],
            SceneSvg::draw($cell->scene, $pictures, $cell->page),
        ).Xml::element('rect', $place + ['fill' => 'none', 'stroke' => '#8b8578', 'stroke-width' => 0.75]);
    }
}
