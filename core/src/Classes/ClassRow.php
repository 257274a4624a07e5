<?php

declare(strict_types=1);

namespace Crag\Classes;

use Crag\Maths\Parsing\Digits;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;

/** A row of a class list as a teacher edits it. */
final readonly class ClassRow
{
    private function __construct(
        public int $n,
        public string $name,
        public string $group,
        public string $pin,
        public string $account,
    ) {
    }

    /**
     * @param  string  $n  digits of any script
     * @param  string  $pin  four to six digits of any script, or nothing
     *
     * @throws InvalidName
     */
    public static function read(string $n, string $name, string $group, string $pin, string $account = ''): self
    {
        $n = Digits::plain($n);
        if (preg_match('/\A\d{1,3}\z/', $n) !== 1 || (int) $n < 1) {
            throw InvalidName::seat(ClassList::HIGHEST_SEAT);
        }
        $pin = Digits::plain($pin);
        if (preg_match('/\A(\d{4,6})?\z/', $pin) !== 1) {
            throw InvalidName::pin();
        }

        return new self(
            (int) $n,
            PersonName::read($name)->value,
            mb_substr($group, 0, ClassList::LONGEST_GROUP),
            $pin,
            mb_strtolower(mb_substr($account, 0, ClassList::LONGEST_ACCOUNT)),
        );
    }

    /** @return array{n: int, name: string, group: string, pin: string, account: string} */
    public function toArray(): array
    {
        return [
            'n' => $this->n,
            'name' => $this->name,
            'group' => $this->group,
            'pin' => $this->pin,
            'account' => $this->account,
        ];
    }

    /**
     * Rows whose seat somebody else keeps. Two may change places, but not share one: whoever stays where another wants
     * to be keeps the seat.
     *
     * @param  array<string, self>  $rows  those that change, by id
     * @param  array<string, int>  $now  the seats of the whole list, by id, without those that are taken off it
     * @return list<string> ids of rows that cannot be taken
     */
    public static function inTheWay(array $rows, array $now): array
    {
        $refused = [];
        do {
            $wanted = array_map(static fn (self $row): int => $row->n, $rows);
            $seats = array_count_values([...array_values(array_diff_key($now, $rows)), ...array_values($wanted)]);
            $moving = array_keys(array_filter(
                $wanted,
                static fn (int $n, string $id): bool => $seats[$n] > 1 && $n !== ($now[$id] ?? null),
                ARRAY_FILTER_USE_BOTH,
            ));
            array_push($refused, ...$moving);
            $rows = array_diff_key($rows, array_flip($moving));
        } while ($moving !== []);

        return $refused;
    }
}
