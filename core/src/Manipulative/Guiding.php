<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** An instrument that guides a pen: along its edges, or round a circle. */
interface Guiding extends Kind
{
    /** @return list<list<float>> edges as x, y, x, y, circles as x, y, radius: units in its own drawing */
    public static function guides(Values $set, Values $state): array;
}
