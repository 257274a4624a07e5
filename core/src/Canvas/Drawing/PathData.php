<?php

declare(strict_types=1);

namespace Crag\Canvas\Drawing;

use Crag\Json\UnreadableFields;
use Stringable;

/**
 * An outline to fill, as SVG path data of the simplest kind (SVG 2 section 9.3): M, L, Q, C with absolute whole numbers
 * parted by spaces, and Z. Nothing else can stand in it, so that it can be written into a drawing as it is.
 */
final readonly class PathData implements Stringable
{
    public const LONGEST = 60_000;

    private function __construct(public string $path)
    {
    }

    /** @throws UnreadableFields */
    public static function from(string $path): self
    {
        $number = '-?\d{1,6}';
        $command = "(?:[ML]{$number} {$number}|Q{$number}(?: {$number}){3}|C{$number}(?: {$number}){5}|Z)";
        if (strlen($path) > self::LONGEST || preg_match("/\\A(?:M{$number} {$number}{$command}*+)?\\z/", $path) !== 1) {
            throw UnreadableFields::badValue('path', 'is not a simple outline');
        }

        return new self($path);
    }

    public function __toString(): string
    {
        return $this->path;
    }
}
