<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Canvas\Drawing\Stamps\Chemistry;
use Crag\Canvas\Drawing\Stamps\Circuits;
use Crag\Canvas\Drawing\Stamps\Computing;
use Crag\Canvas\Drawing\Stamps\Forces;
use Crag\Canvas\Drawing\Stamps\Marks;
use Crag\Canvas\Drawing\Stamps\Music;

/**
 * The stamps: line drawings on a field of 100 × 100, drawn with a line 7 wide in the stamp's colour, round at ends and
 * corners, nothing filled. Each subject has a file of its own. Pages are given these lines by the server, so that both
 * draw the same.
 */
final class StampArt
{
    public const LINE = 7;

    public const FIELD = 100;

    /** In units: as large as they are put on a page, and on a stave, where a note's head fits between two lines. */
    public const SIZE = 90;

    public const ON_STAVE = 88;

    /** The middle of a note's head on the field, which stands where one taps. */
    private const HEAD = [42.0, 87.5];

    private const SETS = [
        'marks' => [Marks::WORD, Marks::ART],
        'forces' => [Forces::WORD, Forces::ART],
        'circuits' => [Circuits::WORD, Circuits::ART],
        'chemistry' => [Chemistry::WORD, Chemistry::ART],
        'music' => [Music::WORD, Music::ART],
        'computing' => [Computing::WORD, Computing::ART],
    ];

    /** @return array<string, array{string, list<string>}> a subject's word and its stamps, by name */
    public static function sets(): array
    {
        return array_map(
            static fn (array $set): array => [$set[0], array_keys($set[1])],
            self::SETS,
        );
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::all());
    }

    /** @return array<string, string> path data by name */
    public static function all(): array
    {
        return array_map(static fn (array $stamp): string => $stamp[1], self::every());
    }

    /** What it shows, in a word or two. */
    public static function word(string $name): string
    {
        return self::every()[$name][0];
    }

    /** @return array{float, float} the place on its field that stands where one taps */
    public static function anchor(string $name): array
    {
        return in_array($name, ['semibreve', 'minim', 'crotchet', 'quaver', 'semiquaver'], true)
            ? self::HEAD
            : [self::FIELD / 2, self::FIELD / 2];
    }

    /** @return array<string, array{string, string}> */
    private static function every(): array
    {
        return array_merge(...array_column(self::SETS, 1));
    }
}
