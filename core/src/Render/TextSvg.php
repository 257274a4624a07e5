<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\Text;
use Crag\Canvas\Object\TextMarks;
use Crag\Canvas\Object\Words;
use Crag\Json\Fields;
use Crag\Prompt\Paper;

/**
 * Typed words in their lines as SVG; resources/ts/canvas/drawing/words.ts draws the same. Positions and widths are in
 * tenths, sizes in units.
 */
final class TextSvg
{
    /** Of raised and lowered letters: how large, and how far off the line, in sizes. */
    private const SMALL = 0.65;

    private const RAISED = ['sup' => -0.35, 'sub' => 0.15];

    public static function lines(Text $text): string
    {
        $backwards = Words::rightToLeft($text->text);
        $indent = (int) round(Words::indent($text->list, $text->size) * Paper::TENTHS);
        $lines = '';
        $from = $paragraph = $row = 0;
        foreach (explode("\n", $text->text) as $words) {
            $paragraph += trim($words) === '' ? 0 : 1;
            foreach (explode(Words::SOFT_END, $words) as $i => $line) {
                $at = [$text->x + ($backwards ? 0 : $indent), max(0, $text->w - $indent)];
                $mark = $i > 0 || trim($words) === '' ? '' : Words::listMark($text->list, $paragraph);
                if ($mark !== '') {
                    $before = [[$mark, []]];
                    $lines .= self::line($before, $row, $text->x, $text->y, $text->w, $text->size, 'start', $backwards);
                }
                $runs = self::fitting($text->marks->runs($line, $from), $text->face);
                $lines .= self::line($runs, $row, $at[0], $text->y, $at[1], $text->size, $text->align, null);
                $from += mb_strlen($line);
                $row++;
            }
            $from++;
        }

        return $lines;
    }

    /**
     * Code has one kind of letters: nothing in it is bold or italic.
     *
     * @param  list<array{string, list<string>}>  $runs
     * @return list<array{string, list<string>}>
     */
    private static function fitting(array $runs, string $face): array
    {
        if ($face !== 'code') {
            return $runs;
        }

        return array_map(
            static fn (array $run): array => [$run[0], array_values(array_diff($run[1], ['b', 'i']))],
            $runs,
        );
    }

    /** Words all alike, from their side. */
    public static function plain(string $text, int $x, int $y, int $w, int $size): string
    {
        $lines = '';
        $none = TextMarks::read(new Fields([]));
        foreach (Words::lines($text) as $row => $line) {
            $lines .= self::line($none->runs($line, 0), $row, $x, $y, $w, $size, 'start', null);
        }

        return $lines;
    }

    /**
     * @param  list<array{string, list<string>}>  $runs
     * @param  ?bool  $backwards  whether it reads from right to left; null where its own letters say so
     */
    private static function line(
        array $runs,
        int $row,
        int $x,
        int $y,
        int $w,
        int $size,
        string $align,
        ?bool $backwards,
    ): string {
        $line = implode('', array_column($runs, 0));
        if ($line === '') {
            return '';
        }
        $backwards ??= Words::rightToLeft($line);
        $side = match ($align) {
            'middle' => 0.5,
            'end' => $backwards ? 0.0 : 1.0,
            default => $backwards ? 1.0 : 0.0,
        };

        return Xml::element(
            'text',
            [
                'x' => ($x + $w * $side) / Paper::TENTHS,
                'y' => $y / Paper::TENTHS + $size * (Words::ASCENT + $row * Words::LINE_HEIGHT),
                'xml:space' => 'preserve',
            ] + self::anchor($side, $backwards),
            self::spans($runs, $size),
        );
    }

    /** @param  list<array{string, list<string>}>  $runs */
    private static function spans(array $runs, int $size): string
    {
        $spans = '';
        $off = 0.0;
        foreach ($runs as [$words, $kinds]) {
            $raised = array_sum(array_intersect_key(self::RAISED, array_flip($kinds)));
            $look =
                (in_array('b', $kinds, true) ? ['font-weight' => 700] : []) +
                (in_array('i', $kinds, true) ? ['font-style' => 'italic'] : []) +
                ($raised === 0 ? [] : ['font-size' => Xml::number($size * self::SMALL)]) +
                ($size * $raised === $off ? [] : ['dy' => Xml::number($size * $raised - $off)]);
            $off = $size * $raised;
            $spans .= $look === [] ? Xml::text($words) : Xml::element('tspan', $look, Xml::text($words));
        }

        return $spans;
    }

    /**
     * Where a line stands against its anchor: "start" is the right edge of what reads from right to left.
     *
     * @return array<string, string>
     */
    private static function anchor(float $side, bool $backwards): array
    {
        $anchor = match (true) {
            $side === 0.5 => 'middle',
            ($side === 0.0) === $backwards => 'end',
            default => 'start',
        };

        return ($anchor === 'start' ? [] : ['text-anchor' => $anchor]) + ($backwards ? ['direction' => 'rtl'] : []);
    }
}
