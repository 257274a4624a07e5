<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Database\PostgresConnection;
use Illuminate\Support\LazyCollection;

/**
 * Carries everything from one database into another that has the same tables and nothing in them, of whichever kind
 * each is, and compares what arrived: rows by their number and by a digest that no order changes.
 */
final class CarryOver
{
    /** Rows in one statement: fewer values than either database takes. */
    private const AT_ONCE = 300;

    /** What the migrations write, and what the queue has in hand. */
    private const LEFT_OUT = ['migrations', 'jobs'];

    private const FRACTIONS = ['float', 'float4', 'float8', 'double', 'real', 'numeric'];

    public function __construct(private readonly Connection $from, private readonly Connection $to)
    {
    }

    /**
     * @return array<string, int> rows by table
     *
     * @throws CannotCarryOver
     */
    public function __invoke(): array
    {
        $tables = $this->inOrder();
        $there = array_filter($tables, fn (string $table): bool => $this->to->table($table)->exists());
        if ($there !== []) {
            throw new CannotCarryOver('There is something in it already: '.implode(', ', $there).'.');
        }
        // All of it as it was at one moment, whoever writes meanwhile.
        if ($this->from instanceof PostgresConnection) {
            $this->from->getPdo()->exec('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
        }
        try {
            $this->to->transaction(function () use ($tables): void {
                $late = [];
                foreach ($tables as $i => $table) {
                    $late[$table] = $this->columnsOfLater($table, array_slice($tables, $i));
                    $this->carry($table, $late[$table]);
                }
                foreach (array_filter($late) as $table => $columns) {
                    $this->join($table, $columns);
                }
                $this->countOn($tables);
            });

            return $this->compare($tables);
        } finally {
            if ($this->from instanceof PostgresConnection) {
                $this->from->getPdo()->exec('ROLLBACK');
            }
        }
    }

    /** @return list<string> tables, each behind those that it speaks of, as far as they do not speak of each other */
    private function inOrder(): array
    {
        $schema = $this->from->getSchemaBuilder();
        $names = array_column($schema->getTables(), 'name');
        $own = array_filter($names, static fn (string $name): bool => ! str_starts_with($name, 'sqlite_'));
        $left = array_values(array_diff($own, self::LEFT_OUT));
        sort($left);
        $ordered = [];
        while ($left !== []) {
            $next = $this->free($left, false) ?? $this->free($left, true);
            if ($next === null) {
                throw new CannotCarryOver('These tables need each other: '.implode(', ', $left).'.');
            }
            $ordered[] = $next;
            $left = array_values(array_diff($left, [$next]));
        }

        return $ordered;
    }

    /**
     * One that speaks of none of the others. In a circle one has to begin: it may leave out for now what can be empty.
     *
     * @param  list<string>  $tables
     */
    private function free(array $tables, bool $maySayLater): ?string
    {
        $schema = $this->from->getSchemaBuilder();
        foreach ($tables as $table) {
            $canBeEmpty = $maySayLater ? array_column(
                array_filter($schema->getColumns($table), static fn (array $column): bool => $column['nullable']),
                'name',
            ) : [];
            $spokenOf = array_column(
                array_filter(
                    $schema->getForeignKeys($table),
                    static fn (array $key): bool => array_diff($key['columns'], $canBeEmpty) !== [],
                ),
                'foreign_table',
            );
            if (array_diff(array_intersect($spokenOf, $tables), [$table]) === []) {
                return $table;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $notYet
     * @return list<string> columns that speak of rows that are not there yet
     */
    private function columnsOfLater(string $table, array $notYet): array
    {
        $keys = array_filter(
            $this->from->getSchemaBuilder()->getForeignKeys($table),
            static fn (array $key): bool => in_array($key['foreign_table'], $notYet, true),
        );

        return array_values(array_merge(...array_column($keys, 'columns')));
    }

    /** @param  list<string>  $late  columns that are filled in afterwards */
    private function carry(string $table, array $late): void
    {
        $empty = array_fill_keys($late, null);
        foreach ($this->rows($this->from, $table)->chunk(self::AT_ONCE) as $rows) {
            $this->to->table($table)->insert($rows->map(
                static fn (object $row): array => $empty + array_map(self::plain(...), (array) $row),
            )->values()->all());
        }
    }

    /** @param  list<string>  $columns */
    private function join(string $table, array $columns): void
    {
        $key = $this->keyOf($table);
        foreach ($this->rows($this->from, $table) as $row) {
            $values = array_filter(
                array_intersect_key((array) $row, array_flip($columns)),
                static fn (mixed $value): bool => $value !== null,
            );
            if ($values !== []) {
                $this->to->table($table)->where(array_intersect_key((array) $row, array_flip($key)))->update($values);
            }
        }
    }

    /**
     * Numbers that the database gives go on behind those that came.
     *
     * @param  list<string>  $tables
     */
    private function countOn(array $tables): void
    {
        if (! $this->to instanceof PostgresConnection) {
            return;
        }
        foreach ($tables as $table) {
            foreach ($this->to->getSchemaBuilder()->getColumns($table) as $column) {
                if ($column['auto_increment'] && $this->to->table($table)->exists()) {
                    $this->to->select(
                        "select setval(pg_get_serial_sequence(?, ?), (select max(\"{$column['name']}\") from \"{$table}\"))",
                        [$table, $column['name']],
                    );
                }
            }
        }
    }

    /**
     * @param  list<string>  $tables
     * @return array<string, int>
     */
    private function compare(array $tables): array
    {
        $rows = [];
        foreach ($tables as $table) {
            [$count, $digest] = $this->digest($this->from, $table);
            if ([$count, $digest] !== $this->digest($this->to, $table)) {
                throw new CannotCarryOver("{$table} did not arrive as it was.");
            }
            $rows[$table] = $count;
        }

        return $rows;
    }

    /** @return array{int, string} how many rows, and what they come to, in whatever order */
    private function digest(Connection $in, string $table): array
    {
        $columns = $this->from->getSchemaBuilder()->getColumns($table);
        $fractions = array_column(
            array_filter($columns, static fn (array $one): bool => in_array($one['type_name'], self::FRACTIONS, true)),
            'name',
        );
        $count = 0;
        $digest = str_repeat("\0", 32);
        foreach ($this->rows($in, $table) as $row) {
            $values = (array) $row;
            ksort($values);
            foreach ($values as $name => $value) {
                $values[$name] = $value !== null && in_array($name, $fractions, true)
                    ? (float) $value
                    : ($value === null ? null : (string) self::plain($value));
            }
            $digest ^= hash('sha256', serialize($values), true);
            $count++;
        }

        return [$count, bin2hex($digest)];
    }

    /** @return LazyCollection<int, object> never all of them in memory */
    private function rows(Connection $in, string $table): LazyCollection
    {
        $key = $this->keyOf($table);
        $query = $in->table($table);

        return count($key) === 1
            ? $query->lazyById(self::AT_ONCE, $key[0])
            : array_reduce($key, static fn ($query, string $one) => $query->orderBy($one), $query)->lazy(self::AT_ONCE);
    }

    /** @return non-empty-list<string> */
    private function keyOf(string $table): array
    {
        foreach ($this->from->getSchemaBuilder()->getIndexes($table) as $index) {
            if ($index['primary'] && $index['columns'] !== []) {
                return $index['columns'];
            }
        }
        throw new CannotCarryOver("{$table} has no key.");
    }

    /** What both databases take. */
    private static function plain(mixed $value): mixed
    {
        return is_bool($value) ? (int) $value : $value;
    }
}
