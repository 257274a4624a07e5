<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Checks\Level;
use DateTimeImmutable;

/**
 * A sheet of a spreadsheet: its name, and rows of cells, the first of which are the headings. A moment is a cell that
 * can be reckoned with, on the clock of its own zone; a level is its number, in the level's colour.
 */
final readonly class Table
{
    /** How many characters wide a column is, at the least and at the most. */
    private const NARROWEST = 7;

    private const WIDEST = 60;

    /** What a moment takes: 2026-11-29 12:37. */
    private const MOMENT = 16;

    /** @param  list<list<string|int|float|DateTimeImmutable|Level|null>>  $rows */
    public function __construct(public string $name, public array $rows)
    {
    }

    /** @return list<int> how many characters wide each column has to be for what is in it */
    public function widths(): array
    {
        $widths = [];
        foreach ($this->rows as $row) {
            foreach ($row as $c => $cell) {
                $lines = is_string($cell) ? preg_split('/\R/u', $cell) ?: [$cell] : [];
                $width = match (true) {
                    $cell instanceof DateTimeImmutable => self::MOMENT,
                    is_int($cell), is_float($cell) => strlen((string) $cell),
                    default => max([0, ...array_map(mb_strlen(...), $lines)]),
                };
                $widths[$c] = max($widths[$c] ?? self::NARROWEST, min(self::WIDEST, $width + 2));
            }
        }
        ksort($widths);

        return array_values($widths);
    }

    /** @return list<list<string|int|null>> as plain values, for formats that know no others */
    public function plain(): array
    {
        return array_map(
            static fn (array $row): array => array_map(
                static fn (string|int|float|DateTimeImmutable|Level|null $cell): string|int|null => match (true) {
                    $cell instanceof DateTimeImmutable => $cell->format(DateTimeImmutable::ATOM),
                    $cell instanceof Level => $cell->value,
                    is_float($cell) => (string) $cell,
                    default => $cell,
                },
                $row,
            ),
            $this->rows,
        );
    }

    /** @return array{string, string} the colours of a level: behind its number, and the number itself, as RRGGBB */
    public static function colours(Level $level): array
    {
        return match ($level) {
            Level::Secure => ['4F7A3A', 'FFFFFF'],
            Level::Nearly => ['A9C29B', '25323B'],
            Level::NotYet => ['DFE8D9', '25323B'],
            Level::NoAttempt => ['F6F3EC', '25323B'],
        };
    }
}
