<?php

declare(strict_types=1);

namespace Crag\Watch;

use Crag\Canvas\Object\Piece;
use Crag\Canvas\Operation\Placing;

/** Which pieces belong into which area, by what they are called. It never reaches a student's page. */
final readonly class SortingKey
{
    /** @param  array<string, list<string>>  $takes  by the area */
    private function __construct(private array $takes)
    {
    }

    /** @param  iterable<Placing>  $placings  what was handed out */
    public static function in(iterable $placings): self
    {
        $takes = [];
        foreach ($placings as $placing) {
            $piece = $placing->object;
            if ($piece instanceof Piece && $piece->takes !== []) {
                $takes[$piece->alt] = [...$takes[$piece->alt] ?? [], ...$piece->takes];
            }
        }

        return new self($takes);
    }

    public function isEmpty(): bool
    {
        return $this->takes === [];
    }

    public function belongs(string $piece, string $area): bool
    {
        return in_array($piece, $this->takes[$area] ?? [], true);
    }

    public function belongsSomewhere(string $piece): bool
    {
        foreach ($this->takes as $pieces) {
            if (in_array($piece, $pieces, true)) {
                return true;
            }
        }

        return false;
    }
}
