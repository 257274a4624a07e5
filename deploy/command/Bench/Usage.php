<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Child;
use Deploy\Instance;

/** What processes have used, read from /proc. */
final class Usage
{
    /** Seconds of processor time of a process and all below it, with those that have ended. */
    public static function cpu(int $pid): float
    {
        $ticks = 0;
        foreach ([$pid, ...Child::descendants($pid)] as $one) {
            $stat = (string) @file_get_contents("/proc/{$one}/stat");
            $fields = explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));
            // Fields 14 to 17 of proc(5), counted here from the third: user and system, own and of ended children.
            $ticks += array_sum(array_map(intval(...), array_slice($fields, 11, $one === $pid ? 4 : 2)));
        }

        return $ticks / 100;
    }

    /** What a running Crag's answering to requests uses, by one of the two ways of counting here. */
    public static function answering(callable $used, Instance $crag): float
    {
        return array_sum(
            array_map(static fn (string $part): float => $used($crag->child($part)->pid()), Instance::ANSWERING),
        );
    }

    /** Megabytes in memory of a process and all below it. */
    public static function memory(int $pid): float
    {
        $kilobytes = 0;
        foreach ([$pid, ...Child::descendants($pid)] as $one) {
            $status = (string) @file_get_contents("/proc/{$one}/status");
            $kilobytes += preg_match('/^VmRSS:\s+(\d+)/m', $status, $found) === 1 ? (int) $found[1] : 0;
        }

        return round($kilobytes / 1024, 1);
    }
}
