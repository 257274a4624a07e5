<?php

declare(strict_types=1);

namespace Crag\Render;

/** The quick asks of a session with their bars, one below the other on sheets of A4 across. Units are points. */
final class AskSheet
{
    private const TOP = 72;

    private const BOTTOM = 559;

    private const LINE = 15;

    private const GAP = 16;

    private const LABEL = 240;

    private const LONGEST_BAR = 360;

    /** So many letters fill a line at a size of 11. */
    private const LETTERS = 128;

    private const MOST_BARS = 20;

    /**
     * @param  list<AskBlock>  $blocks
     * @param  int  $n  the first sheet's number
     * @return list<string> SVG documents; none for no blocks
     */
    public static function documents(string $title, string $date, array $blocks, int $n = 1): array
    {
        $sheets = [];
        [$inside, $y] = ['', self::TOP];
        foreach ($blocks as $block) {
            $height = self::height($block);
            if ($y > self::TOP && $y + $height > self::BOTTOM) {
                $sheets[] = self::sheet($title, $date, $inside, $n + count($sheets));
                [$inside, $y] = ['', self::TOP];
            }
            $inside .= self::block($block, $y);
            $y += $height;
        }

        return $inside === '' ? $sheets : [...$sheets, self::sheet($title, $date, $inside, $n + count($sheets))];
    }

    private static function sheet(string $title, string $date, string $inside, int $n): string
    {
        return Sheet::page(
            $n,
            Sheet::write(Sheet::MARGIN, 48, 18, $title, 'bold').
                Sheet::write(Sheet::WIDTH - Sheet::MARGIN, 48, 11, $date, 'normal', 'end').
                $inside,
        );
    }

    private static function height(AskBlock $block): int
    {
        return self::LINE * (1 + count(self::words($block)) + count(self::bars($block)) + count(self::lines($block))) +
            self::GAP;
    }

    private static function block(AskBlock $block, float $y): string
    {
        $inside = Sheet::write(Sheet::MARGIN, $y, 11, $block->heading, 'bold');
        foreach (self::words($block) as $line) {
            $inside .= Sheet::write(Sheet::MARGIN, $y += self::LINE, 11, $line);
        }
        $longest = max(1, ...array_map(static fn (array $bar): float => $bar[1], self::bars($block)), ...[1]);
        foreach (self::bars($block) as [$label, $length, $said]) {
            $y += self::LINE;
            $x = Sheet::MARGIN + self::LABEL;
            $wide = self::LONGEST_BAR * $length / $longest;
            $inside .= Sheet::write(Sheet::MARGIN + 12, $y, 10, Lines::atMost($label, 44, 1)[0] ?? '').
                Xml::element('rect', [
                    'x' => $x,
                    'y' => $y - 9,
                    'width' => max(0.5, $wide),
                    'height' => 10,
                    'fill' => '#2c6e8f',
                ]).
                Sheet::write($x + $wide + 6, $y, 10, $said);
        }
        foreach (self::lines($block) as $line) {
            $inside .= Sheet::write(Sheet::MARGIN + 12, $y += self::LINE, 10, $line);
        }

        return $inside;
    }

    /** @return list<string> */
    private static function words(AskBlock $block): array
    {
        return Lines::atMost($block->words, self::LETTERS, 4);
    }

    /** @return list<array{string, float, string}> */
    private static function bars(AskBlock $block): array
    {
        return array_slice($block->bars, 0, self::MOST_BARS);
    }

    /** @return list<string> */
    private static function lines(AskBlock $block): array
    {
        $lines = array_map(
            static fn (string $line): array => Lines::atMost($line, self::LETTERS, 2),
            array_slice($block->lines, 0, 8),
        );

        return array_merge(...$lines);
    }
}
