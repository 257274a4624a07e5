<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

/** How typed words stand in lines. Sizes and positions are in units. */
final class Words
{
    /** From one line's baseline to the next, in sizes. */
    public const LINE_HEIGHT = 1.25;

    /** From the top of a line to its baseline, in sizes. */
    public const ASCENT = 0.95;

    /** Where the page that wrote the words ran out of room: a line end that was not typed (LINE SEPARATOR). */
    public const SOFT_END = "\u{2028}";

    /** How far the words of a list stand in from its marks, in sizes, and numbers' words. */
    private const INDENT = ['none' => 0.0, 'bullets' => 0.9, 'numbers' => 1.5];

    /** In units. */
    public static function indent(string $list, int $size): float
    {
        return self::INDENT[$list] * $size;
    }

    /** What stands before the n-th paragraph of a list. */
    public static function listMark(string $list, int $n): string
    {
        return match ($list) {
            'bullets' => '•',
            'numbers' => "{$n}.",
            default => '',
        };
    }

    /** @return list<string> */
    public static function lines(string $text): array
    {
        return explode("\n", str_replace(self::SOFT_END, "\n", $text));
    }

    /** The words as they were typed. */
    public static function typed(string $text): string
    {
        return str_replace(self::SOFT_END, '', $text);
    }

    /** Whether a line reads from right to left: its first letter's script says so (after UAX #9, rules P2 and P3). */
    public static function rightToLeft(string $line): bool
    {
        return preg_match('/\A[^\p{L}]*[\x{0590}-\x{08FF}\x{FB1D}-\x{FDFF}\x{FE70}-\x{FEFC}]/u', $line) === 1;
    }
}
