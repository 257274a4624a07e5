<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\PathData;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/** The fields that kinds of objects share; each throws an {@see UnreadableFields} when it is not what it must be. */
final class ReadField
{
    public const LONGEST_WORDS = 2000;

    private const LONGEST_SOURCE = 600;

    /** The longest side of a page, in tenths of a unit. */
    private const PAGE = Paper::LONGEST * Paper::TENTHS;

    public static function colour(Fields $fields, string $name = 'colour'): Colour
    {
        $hex = $fields->text($name);

        return $fields->kept ? Colour::kept($hex) : Colour::from($hex);
    }

    /** Of a line, in tenths of a unit. */
    public static function width(Fields $fields): int
    {
        return $fields->whole('width', 5, 600);
    }

    /** In tenths of a unit; what is drawn may begin a page's width beside the page, since a place can bring it back. */
    public static function position(Fields $fields, string $name): int
    {
        return $fields->whole($name, -self::PAGE, 2 * self::PAGE);
    }

    /** The nearest position to where something would come to lie, in tenths of a unit. */
    public static function reachable(int $position): int
    {
        return max(-self::PAGE, min(2 * self::PAGE, $position));
    }

    /** In tenths of a unit; negative to the left or upwards, for lines. */
    public static function length(Fields $fields, string $name): int
    {
        return $fields->whole($name, -3 * self::PAGE, 3 * self::PAGE, 0);
    }

    /** Of letters or of a stamp, in units. */
    public static function size(Fields $fields): int
    {
        return $fields->whole('size', 8, 400);
    }

    /** In thousandths of the size. */
    public static function ems(Fields $fields, string $name): int
    {
        return $fields->whole($name, 0, 400_000);
    }

    public static function align(Fields $fields): string
    {
        return $fields->oneOf('align', ['start', 'middle', 'end'], 'start');
    }

    /** Line ends made "\n"; control characters, which no XML can hold, left out. */
    public static function words(Fields $fields): string
    {
        $text = $fields->text('text', self::LONGEST_WORDS);

        return $fields->kept ? $text : self::plain($text);
    }

    public static function alt(Fields $fields): string
    {
        return $fields->has('alt') ? str_replace("\n", ' ', self::plain($fields->text('alt', 300))) : '';
    }

    public static function source(Fields $fields): string
    {
        $source = trim(self::plain($fields->text('source', self::LONGEST_SOURCE)));

        return $source === '' ? throw UnreadableFields::badValue('source', 'is empty') : $source;
    }

    public static function path(Fields $fields): PathData
    {
        return PathData::from($fields->text('path', PathData::LONGEST));
    }

    private static function plain(string $text): string
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);

        return (string) preg_replace('/[^\P{C}\n\x{200c}\x{200d}]/u', '', str_replace("\t", ' ', $text));
    }
}
