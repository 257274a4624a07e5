<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Fit\FitShape;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Which shape a stroke was meant as. */
final class FitTest extends TestCase
{
    /** What a hand that strays so far draws, and this reads otherwise. Each is a shape that an eye hesitates at too. */
    private const MISFITS = [
        'line 24' => 'arc',
        'arrow across 3' => 'nothing',
        'arrow by its tip 26' => 'nothing',
        'arc 12' => 'nothing',
        'arc 14' => 'nothing',
        'pentagon 10' => 'circle',
    ];

    public function test_450_drawn_shapes_are_what_they_were_meant_as(): void
    {
        $misfits = [];
        foreach (DrawnShapes::all() as $name => ['kind' => $kind, 'samples' => $samples]) {
            $read = FitShape::to($samples)?->kind;
            if ($read !== $kind) {
                $misfits[$name] = $read ?? 'nothing';
            }
        }
        self::assertSame(self::MISFITS, $misfits);
    }

    public function test_a_shape_lies_where_the_stroke_does(): void
    {
        // Nearly level, and so level.
        $line = FitShape::to([[1000, 1000, 128, 0], [2000, 1010, 128, 20], [3000, 1030, 128, 40]]);
        self::assertSame(['type' => 'line', 'x' => 1000, 'y' => 1000, 'w' => 2000, 'h' => 0], $line?->object);
        $square = FitShape::to(self::through([[0, 0], [300, 6], [297, 300], [4, 298], [0, 0]]));
        self::assertSame('rectangle', $square?->kind);
        self::assertNull($square->place);
        self::assertEqualsWithDelta(2960, $square->object['w'], 60);
        // Turned, it is one that is turned about its middle.
        $turned = FitShape::to(self::through([[300, 0], [600, 300], [400, 500], [100, 200], [300, 0]]));
        self::assertSame('rectangle', $turned?->kind);
        self::assertEqualsWithDelta(4500, ($turned->place ?? [0, 0, 0])[2] % 9000, 60);
    }

    /** @param  list<array{int, int}>  $points */
    #[TestWith([[[100, 100]]])]
    #[TestWith([[[100, 100], [100, 100]]])]
    #[TestWith([[[100, 100], [106, 108], [112, 100]]])]
    #[TestWith([[[0, 0], [400, 0], [0, 0]]])]
    #[TestWith([[[0, 0], [400, 0], [400, 200], [100, 200], [100, 400], [0, 300]]])]
    #[TestWith([[[0, 0], [300, 300], [300, 0], [0, 300], [0, 0]]])]
    public function test_a_dot_a_tick_a_way_there_and_back_and_a_scribble_are_ink(array $points): void
    {
        self::assertNull(FitShape::to(self::through($points)));
    }

    /**
     * @param  list<array{int, int}>  $points  in units
     * @return list<array{int, int, int, int}>
     */
    private static function through(array $points): array
    {
        $samples = [[10 * $points[0][0], 10 * $points[0][1], 128, 0]];
        for ($i = 1; $i < count($points); $i++) {
            for ($k = 1; $k <= 12; $k++) {
                $samples[] = [
                    (int) (10 * ($points[$i - 1][0] + (($points[$i][0] - $points[$i - 1][0]) * $k) / 12)),
                    (int) (10 * ($points[$i - 1][1] + (($points[$i][1] - $points[$i - 1][1]) * $k) / 12)),
                    128,
                    8 * count($samples),
                ];
            }
        }

        return Ink::of($samples)->samples();
    }
}
