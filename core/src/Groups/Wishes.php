<?php

declare(strict_types=1);

namespace Crag\Groups;

/** Who should work together, or apart, as a teacher types it: names with commas, one wish on each line. */
final readonly class Wishes
{
    /** @param  list<list<string>>  $wishes  ids, two or more in each */
    private function __construct(public array $wishes)
    {
    }

    /**
     * @param  array<string, string>  $names  by id; a name may be typed as far as it is only one student's
     *
     * @throws InvalidWish where it is not clear who is meant
     */
    public static function read(string $typed, array $names): self
    {
        $names = array_map(mb_strtolower(...), $names);
        $wishes = [];
        foreach (preg_split('/\R/u', mb_scrub($typed)) ?: [] as $line) {
            $ids = [];
            foreach (array_filter(array_map(trim(...), explode(',', $line))) as $name) {
                $ids[] = self::meant($name, $names);
            }
            if (count($ids) > 1) {
                $wishes[] = $ids;
            }
        }

        return new self($wishes);
    }

    /** @return list<array{string, string}> each of a wish with each other */
    public function pairs(): array
    {
        $pairs = [];
        foreach ($this->wishes as $ids) {
            foreach ($ids as $i => $one) {
                foreach (array_slice($ids, $i + 1) as $other) {
                    $pairs[] = [$one, $other];
                }
            }
        }

        return $pairs;
    }

    /** @param  array<string, string>  $names  in small letters, by id */
    private static function meant(string $typed, array $names): string
    {
        $wanted = mb_strtolower($typed);
        $found = array_keys($names, $wanted, true);
        if ($found === []) {
            $begins = static fn (string $name): bool => str_starts_with($name, $wanted);
            $found = array_keys(array_filter($names, $begins));
        }

        return count($found) === 1 ? (string) $found[0] : throw InvalidWish::unknownName($typed);
    }
}
