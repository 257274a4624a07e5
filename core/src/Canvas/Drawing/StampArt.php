<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

/**
 * The stamps: line drawings on a field of 100 × 100, drawn with a line 7 wide in the stamp's colour, round at ends and
 * corners, nothing filled. Pages are given these lines by the server, so that both draw the same.
 */
final class StampArt
{
    public const LINE = 7;

    public const FIELD = 100;

    private const ART = [
        'tick' => 'M14 54 L38 80 L86 20',
        'cross' => 'M20 20 L80 80 M80 20 L20 80',
        'question' => 'M30 32 C30 8 72 8 72 34 C72 54 50 52 50 70 M50 88 L50 89',
        'idea' => 'M36 70 C36 58 22 52 22 34 C22 2 78 2 78 34 C78 52 64 58 64 70 Z M38 82 L62 82 M44 93 L56 93',
        'star' => 'M50 10 L61 38 L91 40 L68 59 L76 88 L50 72 L24 88 L32 59 L9 40 L39 38 Z',
        'look' => 'M6 50 C26 16 74 16 94 50 C74 84 26 84 6 50 Z M36 50 C36 32 64 32 64 50 C64 68 36 68 36 50 Z',
        'weight' => 'M24 90 L32 42 L68 42 L76 90 Z M40 42 C30 12 70 12 60 42',
        'support' => 'M50 22 L80 78 L20 78 Z M10 90 L90 90',
        'roller' => 'M50 12 L76 58 L24 58 Z M26 72 C26 62 42 62 42 72 C42 82 26 82 26 72 Z M58 72 C58 62 74 62 74 72 C74 82 58 82 58 72 Z M10 92 L90 92',
        'force' => 'M50 8 L50 88 M26 64 L50 90 L74 64',
        'turning' => 'M80 74 C96 30 56 2 26 20 C4 34 6 64 22 78 M22 52 L20 80 L48 76',
        'balance' => 'M10 40 L90 40 M50 40 L50 86 M30 88 L70 88 M10 40 L2 62 L22 62 L10 40 M90 40 L78 62 L98 62 L90 40',
        'hammer' => 'M22 14 L58 14 L66 32 L58 36 L22 36 Z M40 36 L40 92',
        'flag' => 'M24 92 L24 10 L80 26 L24 46',
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::ART);
    }

    /** @return array<string, string> path data by name */
    public static function all(): array
    {
        return self::ART;
    }

    /** What it shows, in a word or two. */
    public static function word(string $name): string
    {
        return match ($name) {
            'look' => 'Look here',
            'turning' => 'Turning force',
            default => ucfirst($name),
        };
    }
}
