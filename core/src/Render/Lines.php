<?php

declare(strict_types=1);

namespace Crag\Render;

/** Words in lines of at most so many letters, letters of East Asian scripts counted twice. */
final class Lines
{
    /** @return list<string> none for no words */
    public static function of(string $words, int $letters): array
    {
        $lines = [];
        foreach ($words === '' ? [] : explode("\n", $words) as $paragraph) {
            $line = '';
            foreach (explode(' ', $paragraph) as $word) {
                if ($line !== '' && mb_strwidth("{$line} {$word}") > $letters) {
                    $lines[] = $line;
                    $line = '';
                }
                $line .= ($line === '' ? '' : ' ').$word;
                // A word that fills more than a line, or a script without spaces.
                while (mb_strwidth($line) > $letters) {
                    $part = mb_strimwidth($line, 0, $letters);
                    $lines[] = $part;
                    $line = mb_substr($line, mb_strlen($part));
                }
            }
            $lines[] = $line;
        }

        return $lines;
    }

    /** @return list<string> at most so many lines, the last with an ellipsis where something is left out */
    public static function atMost(string $words, int $letters, int $most): array
    {
        $lines = self::of($words, $letters);
        if (count($lines) <= $most) {
            return $lines;
        }
        $kept = array_slice($lines, 0, max(0, $most));
        if ($kept !== []) {
            $kept[count($kept) - 1] = mb_strimwidth(end($kept), 0, $letters - 2).' …';
        }

        return $kept;
    }
}
