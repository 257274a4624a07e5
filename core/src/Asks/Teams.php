<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Who plays with whom in a run. Nobody is left out: whoever has no team joins the smallest.
 *
 * JSON form: {"names": […], "of": {who: index of a name}}.
 */
final readonly class Teams
{
    public const MOST = 12;

    private const LONGEST_NAME = 40;

    /**
     * @param  list<string>  $names  at least two, all different
     * @param  array<string, int>  $of  a name's index by who plays
     */
    private function __construct(public array $names, private array $of)
    {
    }

    /**
     * @param  list<string>  $who
     * @param  list<string>  $names
     *
     * @throws UnreadableFields for fewer than two teams, too many, or two of one name
     */
    public static function dealt(array $who, array $names, string $seed): self
    {
        $shuffled = (new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true))))->shuffleArray($who);

        return self::named($names)->with($shuffled);
    }

    /**
     * @param  array<string, string>  $groups  group by who plays; an empty one is none
     *
     * @throws UnreadableFields for fewer than two groups
     */
    public static function ofGroups(array $groups): self
    {
        $names = array_values(array_unique(array_filter($groups, static fn (string $name): bool => $name !== '')));
        natcasesort($names);
        $names = array_values($names);
        $teams = self::named($names);
        $order = array_flip($names);
        $of = [];
        foreach ($groups as $who => $group) {
            if ($group !== '') {
                $of[$who] = $order[$group];
            }
        }

        return (new self($teams->names, $of))->with(array_map(strval(...), array_keys($groups)));
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $names = array_values(array_filter($fields->list('names', 2, self::MOST), is_string(...)));
        $of = [];
        $given = $fields->object('of');
        foreach ($given->names() as $who) {
            $of[$who] = $given->whole($who, 0, count($names) - 1);
        }

        return new self($names, $of);
    }

    /** @return array{names: list<string>, of: object} */
    public function toArray(): array
    {
        return ['names' => $this->names, 'of' => (object) $this->of];
    }

    /** @param  list<string>  $who  those who have no team yet join the smallest */
    public function with(array $who): self
    {
        $of = $this->of;
        foreach ($who as $one) {
            if (! isset($of[$one])) {
                $of[$one] = self::smallest($of, count($this->names));
            }
        }

        return new self($this->names, $of);
    }

    /** @param  array<string, int>  $of */
    private static function smallest(array $of, int $teams): int
    {
        $sizes = array_count_values($of);
        $smallest = 0;
        for ($i = 1; $i < $teams; $i++) {
            $smallest = ($sizes[$i] ?? 0) < ($sizes[$smallest] ?? 0) ? $i : $smallest;
        }

        return $smallest;
    }

    public function of(string $who): ?string
    {
        return isset($this->of[$who]) ? $this->names[$this->of[$who]] : null;
    }

    /** @return array<string, string> team by who plays */
    public function all(): array
    {
        return array_map(fn (int $i): string => $this->names[$i], $this->of);
    }

    /** @param  list<string>  $names */
    private static function named(array $names): self
    {
        $names = array_map(static fn (string $name): string => mb_substr(trim($name), 0, self::LONGEST_NAME), $names);
        if (count($names) < 2 || count($names) > self::MOST || in_array('', $names, true)) {
            throw UnreadableFields::saying('Teams need 2 to '.self::MOST.' names or groups.');
        }
        if (count(array_unique(array_map(mb_strtolower(...), $names))) < count($names)) {
            throw UnreadableFields::saying('Give each team a different name.');
        }

        return new self($names, []);
    }
}
