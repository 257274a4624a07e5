<?php

declare(strict_types=1);

namespace Crag\Prompt;

use Crag\Json\UnreadableFields;

/**
 * The size of a page in units, whatever the device. Positions on it are whole tenths of a unit.
 *
 * All papers are about equally large, so that a pen and a line of words look the same on each of them. JSON form:
 * "1000x1600", width before height.
 */
final readonly class Paper
{
    /** Tenths in a unit: what positions are counted in. */
    public const TENTHS = 10;

    /** No side of a paper is longer, in units. */
    public const LONGEST = 2000;

    /** No side of a paper is shorter, in units. */
    private const SHORTEST = 600;

    /** In square units, of a paper that takes its proportions from something else. */
    private const AREA = 1_600_000;

    /** Width to height. */
    private const NARROWEST = 0.4;

    private const WIDEST = 2.5;

    /** How far outside the page, in tenths, a pen that left it may still be recorded. */
    private const MARGIN = 2000;

    private function __construct(public int $width, public int $height)
    {
    }

    public static function wide(): self
    {
        return new self(1600, 1000);
    }

    public static function tall(): self
    {
        return new self(1000, 1600);
    }

    public static function square(): self
    {
        return new self(1250, 1250);
    }

    /** @return array<string, self> those that can be chosen, by their names */
    public static function named(): array
    {
        return ['Wide' => self::wide(), 'Tall' => self::tall(), 'Square' => self::square()];
    }

    /**
     * In the proportions of a picture or a sheet; what is more than 2.5 times as long as broad lies on a broader one.
     */
    public static function like(float $width, float $height): self
    {
        $ratio = max(self::NARROWEST, min(self::WIDEST, $width / max(1.0, $height)));
        $tall = (int) round(sqrt(self::AREA / $ratio));

        return new self((int) round($tall * $ratio), $tall);
    }

    /** @throws UnreadableFields */
    public static function from(string $text): self
    {
        if (preg_match('/\A(\d{3,4})x(\d{3,4})\z/', $text, $found) !== 1) {
            throw UnreadableFields::badValue('paper', 'is not a width and a height');
        }
        foreach ([(int) $found[1], (int) $found[2]] as $side) {
            if ($side < self::SHORTEST || $side > self::LONGEST) {
                throw UnreadableFields::badValue('paper', 'is too long or too short');
            }
        }

        return new self((int) $found[1], (int) $found[2]);
    }

    public function text(): string
    {
        return "{$this->width}x{$this->height}";
    }

    public function isWide(): bool
    {
        return $this->width === 1600 && $this->height === 1000;
    }

    /** Whether a place, in tenths, is on some paper or not far beside it. */
    public static function reaches(int $x, int $y): bool
    {
        $far = self::LONGEST * self::TENTHS + self::MARGIN;

        return $x >= -self::MARGIN && $x <= $far && $y >= -self::MARGIN && $y <= $far;
    }
}
