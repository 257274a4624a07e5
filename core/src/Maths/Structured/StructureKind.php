<?php

declare(strict_types=1);

namespace Crag\Maths\Structured;

/** What an answer is made of, beside a single number, expression or equation. */
enum StructureKind
{
    /** (2, 3): a point, a vector, a pair, in this order. */
    case Tuple;
    /** {1, 2}: in any order. */
    case Set;
    /** x = 2 or x = −2; x = 1, y = 3: in any order, each by its letter where that is said. */
    case Solutions;
    /** 2 : 3 : 5. */
    case Ratio;
    /** x > 3; 1 < x ≤ 4; [1, 4): what lies between bounds. */
    case Region;
    /** [1 2; 3 4]. */
    case Matrix;

    /** Null for a single number, expression or equation. */
    public static function of(string $written): ?self
    {
        $text = Pieces::plain($written);
        $isRegion = preg_match('/[<>≤≥∞]/u', $text) === 1 || preg_match('/^([\[\]].*[\])\[]|\(.*[\]\[])$/us', $text) === 1;

        return match (true) {
            str_contains($text, 'matrix}') || self::isGrid($text) => self::Matrix,
            self::encloses($text, '{', '}') => self::Set,
            $isRegion => self::Region,
            self::encloses($text, '(', ')') && count(Pieces::apart(mb_substr($text, 1, -1), ',;')) > 1 => self::Tuple,
            count(Pieces::apart($text, ':')) > 1 => self::Ratio,
            str_contains($text, '±') || count(Pieces::alternatives($text)) > 1 => self::Solutions,
            default => null,
        };
    }

    /** What a student is asked for, where something else came. */
    public function wanted(): string
    {
        return match ($this) {
            self::Tuple => 'Give a pair or a list in brackets, such as (2, 3).',
            self::Set => 'Give a set, such as {1, 2}.',
            self::Solutions => 'Give every answer, such as x = 2 or x = −2.',
            self::Ratio => 'Give a ratio, such as 2 : 3.',
            self::Region => 'Give an inequality, such as x > 3.',
            self::Matrix => 'Give a matrix, such as [1 2; 3 4].',
        };
    }

    /** Rows apart by semicolons, with more than one entry in a row, or more than two rows. */
    private static function isGrid(string $text): bool
    {
        if (! self::encloses($text, '[', ']')) {
            return false;
        }
        $rows = Pieces::apart(mb_substr($text, 1, -1), ';');

        return count($rows) > 2 || (count($rows) === 2 && preg_match('/\S\s+\S|,/u', trim($rows[0])) === 1);
    }

    /** Whether one pair of brackets holds all of it. */
    private static function encloses(string $text, string $open, string $close): bool
    {
        if (! str_starts_with($text, $open) || ! str_ends_with($text, $close)) {
            return false;
        }
        $depth = 0;
        $letters = mb_str_split($text);
        foreach ($letters as $i => $letter) {
            $depth += $letter === $open ? 1 : ($letter === $close ? -1 : 0);
            if ($depth === 0 && $i < count($letters) - 1) {
                return false;
            }
        }

        return true;
    }
}
