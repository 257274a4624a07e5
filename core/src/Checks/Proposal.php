<?php

declare(strict_types=1);

namespace Crag\Checks;

use Crag\Maths\Comparing\Outcome;

/** What the answers alone would say of a canvas. A teacher accepts it, or does not: it is never a check by itself. */
final class Proposal
{
    /**
     * @param  list<?Outcome>  $outcomes  one for each question that has a right answer; null for one that was not
     *      answered
     * @return ?Level null where nothing was answered, or nothing that is understood
     */
    public static function of(array $outcomes): ?Level
    {
        $count = static fn (Outcome ...$of): int => count(
            array_filter($outcomes, static fn (?Outcome $outcome): bool => in_array($outcome, $of, true)),
        );

        return match (true) {
            $count(Outcome::Right) > 0 && $count(Outcome::Right) === count($outcomes) => Level::Secure,
            $count(Outcome::Right, Outcome::OtherForm) > 0 => Level::Nearly,
            $count(Outcome::Wrong) > 0 => Level::NotYet,
            default => null,
        };
    }
}
