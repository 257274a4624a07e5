<?php

declare(strict_types=1);

namespace Crag\Reading;

/**
 * What readings of a class have in common: the same thing missing, the same slip. Answers are left out: equal ones are
 * found by their value (Crag\Watch), which knows more than their writing.
 */
final readonly class Patterns
{
    private const LEAST = 2;

    private const MOST = 6;

    /**
     * @param  array<string, Reading>  $readings  by whose work it is
     * @return list<Pattern> the most frequent first, those that two share at least
     */
    public static function among(array $readings): array
    {
        $points = $who = [];
        foreach ($readings as $one => $reading) {
            foreach ([...$reading->missing, $reading->question] as $point) {
                $isSlip = isset($point->values['slip']);
                if (($point === $reading->question && ! $isSlip) || ($point->values['answer'] ?? '') !== '') {
                    continue;
                }
                $key = json_encode([$point->sentence, $isSlip ? $point->values['slip'] : $point->values]);
                // How much was drawn differs from one to the next; that it is little does not.
                $key = isset($point->values['n']) ? $point->sentence : (string) $key;
                $points[$key] ??= $point;
                $who[$key][$one] = true;
            }
        }
        $patterns = [];
        foreach ($points as $key => $point) {
            if (count($who[$key]) >= self::LEAST) {
                $patterns[] = new Pattern($point, array_map(strval(...), array_keys($who[$key])));
            }
        }
        usort($patterns, static fn (Pattern $a, Pattern $b): int => count($b->who) <=> count($a->who));

        return array_slice($patterns, 0, self::MOST);
    }
}
