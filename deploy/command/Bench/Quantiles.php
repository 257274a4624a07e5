<?php

declare(strict_types=1);

namespace Deploy\Bench;

final class Quantiles
{
    /**
     * @param  list<int|float>  $values
     * @return array<string, ?float> p50, p95 and so on by the nearest rank; null of nothing
     */
    public static function of(array $values, int ...$percents): array
    {
        sort($values);
        $found = [];
        foreach ($percents as $percent) {
            $rank = max(0, (int) ceil((count($values) * $percent) / 100) - 1);
            $found["p{$percent}"] = $values === [] ? null : round((float) $values[$rank], 1);
        }

        return $found;
    }
}
