<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * Path data of SVG (SVG 2 section 9.3) as lines of points; curves become many short pieces. Elliptical arcs become
 * straight.
 */
final class SvgPath
{
    private const PIECES = 12;

    /** @var list<list<array{float, float}>> */
    private array $lines = [];

    private float $x = 0;

    private float $y = 0;

    /** @var array{float, float}  the last control point, for a smooth curve to go on from */
    private array $control = [0, 0];

    private string $before = '';

    /** @return list<list<array{float, float}>> one line of points for each part of the path */
    public static function lines(string $data): array
    {
        $path = new self();
        preg_match_all('/([MLHVCSQTAZmlhvcsqtaz])|-?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/', $data, $tokens);
        $command = '';
        $numbers = [];
        foreach ($tokens[0] as $token) {
            if (ctype_alpha($token)) {
                $command = $token;
                $numbers = [];
                if (strtoupper($command) === 'Z') {
                    $path->close();
                }

                continue;
            }
            $numbers[] = (float) $token;
            $needs =
                ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7][
                    strtoupper($command)
                ] ?? 0;
            if ($needs > 0 && count($numbers) === $needs) {
                $path->step(strtoupper($command), $numbers, ctype_lower($command));
                $numbers = [];
                $command = strtr($command, ['M' => 'L', 'm' => 'l']);
            }
        }

        return array_values(array_filter($path->lines, static fn (array $line): bool => $line !== []));
    }

    /** @param  list<float>  $n */
    private function step(string $command, array $n, bool $relative): void
    {
        [$fromX, $fromY] = $relative ? [$this->x, $this->y] : [0.0, 0.0];
        if ($command === 'H' || $command === 'V') {
            if ($command === 'H') {
                $this->to($fromX + $n[0], $this->y);
            } else {
                $this->to($this->x, $fromY + $n[0]);
            }
        } elseif ($command === 'A') {
            $this->to($fromX + $n[5], $fromY + $n[6]);
        } else {
            $points = array_map(
                static fn (array $p): array => [$p[0] + $fromX, ($p[1] ?? 0.0) + $fromY],
                array_chunk($n, 2),
            );
            $smooth = str_contains($command === 'S' ? 'CS' : 'QT', $this->before === '' ? '-' : $this->before)
                ? [2 * $this->x - $this->control[0], 2 * $this->y - $this->control[1]]
                : [$this->x, $this->y];
            match ($command) {
                'M' => $this->begin(...$points[0]),
                'L' => $this->to(...$points[0]),
                'C' => $this->cubic($points[0], $points[1], $points[2]),
                'S' => $this->cubic($smooth, $points[0], $points[1]),
                'Q' => $this->quadratic($points[0], $points[1]),
                default => $this->quadratic($smooth, $points[0]),
            };
        }
        $this->before = $command;
    }

    private function begin(float $x, float $y): void
    {
        $this->lines[] = [[$x, $y]];
        [$this->x, $this->y] = [$x, $y];
    }

    private function to(float $x, float $y): void
    {
        if ($this->lines === []) {
            $this->begin($this->x, $this->y);
        }
        $this->lines[count($this->lines) - 1][] = [$x, $y];
        [$this->x, $this->y] = [$x, $y];
    }

    private function close(): void
    {
        $line = $this->lines[count($this->lines) - 1] ?? [];
        if ($line !== []) {
            $this->to(...$line[0]);
        }
        $this->before = 'Z';
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $end
     */
    private function quadratic(array $a, array $end): void
    {
        $start = [$this->x, $this->y];
        $this->cubic(
            [$start[0] + (2 / 3) * ($a[0] - $start[0]), $start[1] + (2 / 3) * ($a[1] - $start[1])],
            [$end[0] + (2 / 3) * ($a[0] - $end[0]), $end[1] + (2 / 3) * ($a[1] - $end[1])],
            $end,
        );
        $this->control = $a;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $end
     */
    private function cubic(array $a, array $b, array $end): void
    {
        $start = [$this->x, $this->y];
        for ($i = 1; $i <= self::PIECES; $i++) {
            $t = $i / self::PIECES;
            $u = 1 - $t;
            $this->to(
                ...array_map(
                    static fn (float $s, float $p, float $q, float $e): float => $u ** 3 * $s +
                        3 * $u * $u * $t * $p +
                        3 * $u * $t * $t * $q +
                        $t ** 3 * $e,
                    $start,
                    $a,
                    $b,
                    $end,
                ),
            );
        }
        $this->control = $b;
    }
}
