<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

/** Digits of any script, as 0 to 9. Students type with the keyboard that their device has. */
final class Digits
{
    private const MARKS = [
        '٫' => '.',
        '٬' => ',',
        '．' => '.',
        '，' => ',',
        '＋' => '+',
        '－' => '-',
        '／' => '/',
        '％' => '%',
        '٪' => '%',
        '＝' => '=',
    ];

    /**
     * In Unicode the ten digits of a script follow each other in order, and every such row begins right after something
     * that is no digit or after another whole row (The Unicode Standard, section 4.6, property Nd).
     *
     * @param  string  $text  valid UTF-8
     */
    public static function plain(string $text): string
    {
        return preg_match('/[^\x00-\x7F]/', $text) !== 1
            ? $text
            : (string) preg_replace_callback(
                '/[^\x00-\x7F]/u',
                static fn (array $found): string => self::MARKS[$found[0]] ?? (self::digit($found[0]) ?? $found[0]),
                $text,
            );
    }

    private static function digit(string $sign): ?string
    {
        if (preg_match('/\A\p{Nd}\z/u', $sign) !== 1) {
            return null;
        }
        $code = (int) mb_ord($sign, 'UTF-8');
        for ($first = $code; preg_match('/\A\p{Nd}\z/u', (string) mb_chr($first - 1, 'UTF-8')) === 1;) {
            $first--;
        }

        return (string) (($code - $first) % 10);
    }
}
