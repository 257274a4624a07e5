<?php

declare(strict_types=1);

namespace Crag\Groups;

/**
 * Who works with whom next, computed from the checks. The same students, wishes, size and seed give the same groups.
 *
 * Those who are to be kept together are dealt as one, standing where their mean need stands. There are as many groups
 * as are needed so that none is larger than the size, and their sizes differ by as little as those who belong together
 * allow.
 * - Alike: in the order of need, least secure first; nothing checked counts as least of all. Neighbours come together.
 * - Mixed: dealt in that order to one group after the other, forth and back again, so that each has some of all.
 * - Slip: those with the same slip first, the most frequent slip first; the others as in Alike.
 * - Random: in the order of a hash of the seed and the student's id.
 * Afterwards students who are to be kept apart change places with the one whose need is nearest, where that breaks no
 * wish.
 */
final readonly class Grouping
{
    public const LEAST = 2;

    public const MOST = 12;

    /**
     * A group whose students' work is, on the mean, at least so secure is called secure; below the other, at the
     * beginning.
     */
    private const SECURE = 0.8;

    private const BEGINNING = 0.4;

    /**
     * @param  list<Student>  $students  those who are present
     * @param  list<list<string>>  $together  ids
     * @param  list<array{string, string}>  $apart  pairs of ids
     * @param  int  $seed  of the draw, where it is at random
     * @return list<Group>
     *
     * @throws InvalidWish
     */
    public static function of(
        array $students,
        int $size,
        Basis $way,
        array $together = [],
        array $apart = [],
        int $seed = 0,
    ): array {
        if ($size < self::LEAST || $size > self::MOST) {
            throw InvalidWish::sizeOutOfRange($size);
        }
        $units = self::units($students, $size, $together, $apart);
        if ($units === []) {
            return [];
        }
        $units = $way === Basis::Random ? self::drawn($units, $seed) : self::inOrder($units, $way);
        $dealt = $way === Basis::Mixed ? self::dealt($units, $size) : self::cut($units, $size);
        $dealt = self::keptApart($dealt, $size, $apart, $together);

        return array_map(static fn (array $some): Group => self::explained($some, $way), $dealt);
    }

    /**
     * @param  list<Student>  $students
     * @param  list<list<string>>  $together
     * @param  list<array{string, string}>  $apart
     * @return list<non-empty-list<Student>>
     */
    private static function units(array $students, int $size, array $together, array $apart): array
    {
        $unit = [];
        foreach ($students as $student) {
            $unit[$student->id] = $student->id;
        }
        foreach ($together as $ids) {
            $ids = array_values(array_filter($ids, static fn (string $id): bool => isset($unit[$id])));
            foreach (array_slice($ids, 1) as $id) {
                $unit = array_map(static fn (string $of): string => $of === $unit[$id] ? $unit[$ids[0]] : $of, $unit);
            }
        }
        foreach ($apart as [$one, $other]) {
            if (isset($unit[$one], $unit[$other]) && $unit[$one] === $unit[$other]) {
                throw InvalidWish::togetherAndApart();
            }
        }
        $units = [];
        foreach ($students as $student) {
            $units[$unit[$student->id]][] = $student;
        }
        foreach ($units as $some) {
            if (! (count($some) <= $size)) {
                throw InvalidWish::groupTooLarge(count($some), $size);
            }
        }

        return array_values($units);
    }

    /**
     * @param  non-empty-list<non-empty-list<Student>>  $units
     * @return non-empty-list<non-empty-list<Student>>
     */
    private static function inOrder(array $units, Basis $way): array
    {
        $slips = $way === Basis::Slip ? array_count_values(array_filter(array_map(self::slip(...), $units))) : [];
        usort($units, static fn (array $a, array $b): int => self::rank($a, $slips) <=> self::rank($b, $slips));

        return $units;
    }

    /**
     * @param  non-empty-list<non-empty-list<Student>>  $units
     * @return non-empty-list<non-empty-list<Student>>
     */
    private static function drawn(array $units, int $seed): array
    {
        $lot = static fn (Student $first): string => hash('sha256', "{$seed} {$first->id}");
        usort($units, static fn (array $a, array $b): int => $lot($a[0]) <=> $lot($b[0]));

        return $units;
    }

    /**
     * @param  non-empty-list<Student>  $unit
     * @param  array<string, int>  $slips  how many have each
     * @return array{int, int, string, float, int} a slip that nobody shares groups nobody
     */
    private static function rank(array $unit, array $slips): array
    {
        $times = $slips[self::slip($unit)] ?? 0;

        return $times > 1
            ? [0, -$times, self::slip($unit), self::need($unit), $unit[0]->n]
            : [1, 0, '', self::need($unit), $unit[0]->n];
    }

    /** @param  non-empty-list<Student>  $unit */
    private static function slip(array $unit): string
    {
        return $unit[0]->slip;
    }

    /** @param  non-empty-list<Student>  $unit */
    private static function need(array $unit): float
    {
        $secure = array_map(static fn (Student $student): float => $student->secure ?? -1, $unit);

        return array_sum($secure) / count($unit);
    }

    /**
     * @param  non-empty-list<non-empty-list<Student>>  $units
     * @return list<list<Student>>
     */
    private static function cut(array $units, int $size): array
    {
        $left = count(array_merge(...$units));
        $groups = [];
        $now = [];
        $room = (int) ceil($left / (int) ceil($left / $size));
        foreach ($units as $unit) {
            if ($now !== [] && count($now) + count($unit) > $room) {
                $groups[] = $now;
                $left -= count($now);
                $now = [];
                $room = (int) ceil($left / max(1, (int) ceil($left / $size)));
            }
            $now = [...$now, ...$unit];
        }

        return [...$groups, $now];
    }

    /**
     * @param  non-empty-list<non-empty-list<Student>>  $units
     * @return list<list<Student>>
     */
    private static function dealt(array $units, int $size): array
    {
        $count = (int) ceil(count(array_merge(...$units)) / $size);
        $groups = array_fill(0, $count, []);
        // Those who belong together first, or there may be no room left for them.
        usort(
            $units,
            static fn (array $a, array $b): int => (count($b) > 1 ? count($b) : 1) <=> (count($a) > 1 ? count($a) : 1),
        );
        foreach ($units as $turn => $unit) {
            $lap = intdiv($turn, $count);
            $at = $lap % 2 === 0 ? $turn % $count : $count - 1 - ($turn % $count);
            for ($tries = 0; count($groups[$at]) + count($unit) > $size && $tries < $count; $tries++) {
                $at = ($at + 1) % $count;
            }
            if (count($groups[$at]) + count($unit) > $size) {
                $groups[] = [];
                $at = count($groups) - 1;
            }
            $groups[$at] = [...$groups[$at], ...$unit];
        }

        return $groups;
    }

    /**
     * @param  list<list<Student>>  $groups
     * @param  list<array{string, string}>  $apart
     * @param  list<list<string>>  $together
     * @return list<list<Student>>
     *
     * @throws InvalidWish
     */
    private static function keptApart(array $groups, int $size, array $apart, array $together): array
    {
        foreach (range(0, count($apart) * 2) as $ignored) {
            $clash = self::clash($groups, $apart);
            if ($clash === null) {
                return $groups;
            }
            $groups = self::swapped($groups, $size, $apart, $together, $clash) ?? throw InvalidWish::cannotKeepApart();
        }

        throw InvalidWish::cannotKeepApart();
    }

    /**
     * @param  list<list<Student>>  $groups
     * @param  list<array{string, string}>  $apart
     * @return array{int, int}|null the group, and the place in it of one who has to go
     */
    private static function clash(array $groups, array $apart): ?array
    {
        foreach ($groups as $g => $group) {
            $ids = array_column($group, 'id');
            foreach ($apart as [$one, $other]) {
                if (in_array($one, $ids, true) && in_array($other, $ids, true)) {
                    return [$g, (int) array_search($other, $ids, true)];
                }
            }
        }

        return null;
    }

    /**
     * @param  list<list<Student>>  $groups
     * @param  list<array{string, string}>  $apart
     * @param  list<list<string>>  $together
     * @param  array{int, int}  $clash
     * @return list<list<Student>>|null
     */
    private static function swapped(array $groups, int $size, array $apart, array $together, array $clash): ?array
    {
        [$from, $place] = $clash;
        $mover = $groups[$from][$place];
        $clashes = self::clashes($groups, $apart, $together);
        $best = null;
        $least = INF;
        foreach ($groups as $to => $group) {
            // With everybody there, or just into a group that has room.
            $places = $to === $from ? [] : array_keys($group);
            if ($to !== $from && count($group) < $size && count($groups[$from]) > 1) {
                $places[] = null;
            }
            foreach ($places as $at) {
                $changed = $groups;
                $other = $at === null ? null : $group[$at];
                $changed[$from] = array_values(
                    array_filter([...array_diff_key($groups[$from], [$place => true]), $other]),
                );
                $changed[$to] =
                    $at === null
                        ? [...$group, $mover]
                        : array_values([$at => $mover] + array_diff_key($group, [$at => true]));
                $cost = $other === null ? 1.5 : abs(($mover->secure ?? -1) - ($other->secure ?? -1));
                if ($cost < $least && self::clashes($changed, $apart, $together) < $clashes) {
                    [$best, $least] = [$changed, $cost];
                }
            }
        }

        return $best;
    }

    /**
     * How many wishes are broken.
     *
     * @param  list<list<Student>>  $groups
     * @param  list<array{string, string}>  $apart
     * @param  list<list<string>>  $together
     */
    private static function clashes(array $groups, array $apart, array $together): int
    {
        $clashes = 0;
        $of = [];
        foreach ($groups as $g => $group) {
            foreach ($group as $student) {
                $of[$student->id] = $g;
            }
        }
        foreach ($apart as [$one, $other]) {
            $clashes += isset($of[$one], $of[$other]) && $of[$one] === $of[$other] ? 1 : 0;
        }
        foreach ($together as $ids) {
            $clashes += max(0, count(array_unique(array_intersect_key($of, array_flip($ids)))) - 1);
        }

        return $clashes;
    }

    /** @param  list<Student>  $some */
    private static function explained(array $some, Basis $way): Group
    {
        usort($some, static fn (Student $a, Student $b): int => $a->n <=> $b->n);
        $ids = array_column($some, 'id');
        $slips = array_count_values(array_filter(array_column($some, 'slip')));
        arsort($slips);
        $slip = (string) array_key_first($slips);
        if ($way === Basis::Slip && $slip !== '' && $slips[$slip] > 1) {
            $isPattern = array_filter($some, static fn (Student $one): bool => $one->isPattern && $one->slip === $slip);

            return new Group(
                $ids,
                $isPattern === [] ? ':n answered :slip' : 'What :n have in common: :slip',
                ['n' => $slips[$slip], 'slip' => $slip],
            );
        }
        if ($way === Basis::Random) {
            return new Group($ids, 'Drawn at random');
        }
        $known = array_filter(array_column($some, 'secure'), static fn (?float $secure): bool => $secure !== null);
        if ($known === []) {
            return new Group($ids, 'None of their work has been checked yet');
        }
        $mean = array_sum($known) / count($known);
        // What is said of a group is said of those who have a check; the others are counted beside it.
        $unchecked = count($some) - count($known);
        if ($way === Basis::Mixed) {
            return new Group(
                $ids,
                'From :least to :most of 100 secure'.($unchecked > 0 ? '; :n not checked yet' : ''),
                ['least' => (int) round(100 * min($known)), 'most' => (int) round(100 * max($known))] +
                    ($unchecked > 0 ? ['n' => $unchecked] : []),
            );
        }

        return new Group(
            $ids,
            match (true) {
                $mean >= self::SECURE => 'Secure in most of what was checked',
                $mean < self::BEGINNING => 'Not yet secure in most of what was checked',
                default => 'On the way: secure in some of what was checked',
            }.($unchecked > 0 ? '; :n not checked yet' : ''),
            $unchecked > 0 ? ['n' => $unchecked] : [],
        );
    }
}
