<?php

declare(strict_types=1);

namespace Crag\Practice;

use Crag\Practice\Families\Angles;
use Crag\Practice\Families\Brackets;
use Crag\Practice\Families\Coordinates;
use Crag\Practice\Families\FourOperations;
use Crag\Practice\Families\Fractions;
use Crag\Practice\Families\Moments;
use Crag\Practice\Families\NegativeNumbers;
use Crag\Practice\Families\Percentages;
use Crag\Practice\Families\Powers;
use Crag\Practice\Families\Sequences;
use Crag\Practice\Families\Solving;
use Crag\Practice\Families\Speed;
use Crag\Practice\Families\TimesTables;
use Crag\Practice\Families\Units;

/** Every family there is, by the key under which a plan names it. */
final class Families
{
    /** @return array<string, Family> in the order in which they are offered */
    public static function all(): array
    {
        return [
            'times_tables' => new TimesTables(),
            'four_operations' => new FourOperations(),
            'negative_numbers' => new NegativeNumbers(),
            'fractions' => new Fractions(),
            'percentages' => new Percentages(),
            'powers' => new Powers(),
            'brackets' => new Brackets(),
            'solving' => new Solving(),
            'sequences' => new Sequences(),
            'coordinates' => new Coordinates(),
            'angles' => new Angles(),
            'units' => new Units(),
            'moments' => new Moments(),
            'speed' => new Speed(),
        ];
    }
}
