<?php

declare(strict_types=1);

namespace Crag\Classes;

use Crag\Formats\CsvReader;
use Crag\Formats\UnreadableFile;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;

/**
 * A class list as it is pasted or brought in: names a line each, or a table whose columns are found by their headings
 * in any order. OneRoster's users.csv (1EdTech OneRoster 1.1 and 1.2, CSV binding) is such a table: of its users those
 * with the role student are taken who are not marked for deletion.
 */
final readonly class ClassList
{
    public const MOST = 200;

    public const HIGHEST_SEAT = 999;

    public const LONGEST_GROUP = 40;

    public const LONGEST_ACCOUNT = 120;

    private const HEADINGS = [
        'name' => [
            'name',
            'full name',
            'student',
            'student name',
            'pupil',
            'learner',
            'preferred name',
            'display name',
        ],
        'given' => [
            'first name',
            'forename',
            'given name',
            'givenname',
            'first',
            'preferredfirstname',
            'preferred first name',
        ],
        'family' => [
            'last name',
            'surname',
            'family name',
            'familyname',
            'last',
            'preferredlastname',
            'preferred last name',
        ],
        'seat' => ['seat', 'seat number', 'number', 'no', 'no.', 'nr', 'nr.', '#'],
        'group' => ['group', 'team', 'set', 'table', 'house'],
        'email' => ['email', 'e-mail', 'email address', 'account'],
        'username' => ['username', 'user name', 'login'],
        'role' => ['role', 'roles'],
        'status' => ['status'],
    ];

    /**
     * @param  list<ClassEntry>  $entries by seat number
     * @param  list<string>  $notTaken  what stands where a name should and cannot be one
     */
    private function __construct(public array $entries, public array $notTaken)
    {
    }

    /**
     * @param  string  $bytes  a file, or what was pasted
     *
     * @throws UnreadableFile
     */
    public static function read(string $bytes): self
    {
        $rows = CsvReader::rows($bytes);
        $columns = self::columns($rows[0] ?? []);
        $hasHeading = isset($columns['name']) || isset($columns['given']) || isset($columns['family']);
        if (! $hasHeading) {
            $columns = self::guessed($rows);
        } else {
            array_shift($rows);
        }
        $entries = $taken = $names = $notTaken = [];
        foreach ($rows as $row) {
            $cell = static fn (string $column): string => $row[$columns[$column] ?? -1] ?? '';
            if (! self::isStudent($cell('role'), $cell('status'))) {
                continue;
            }
            $written = $cell('name') !== '' ? $cell('name') : trim($cell('given').' '.$cell('family'));
            $name = self::name($written);
            if ($name === null) {
                if (trim($written) !== '') {
                    $notTaken[] = trim($written);
                }

                continue;
            }
            $name = $name->apartFrom($names);
            $names[] = $name->value;
            $seat = preg_match('/^\d{1,3}$/', $cell('seat')) === 1 ? (int) $cell('seat') : 0;
            $seat = $seat > 0 && $seat <= self::HIGHEST_SEAT && ! isset($taken[$seat]) ? $seat : 0;
            if ($seat > 0) {
                $taken[$seat] = true;
            }
            $entries[] = [
                $seat,
                $name->value,
                mb_substr(trim((string) preg_replace('/\s+/u', ' ', $cell('group'))), 0, self::LONGEST_GROUP),
                mb_substr($cell('email') !== '' ? $cell('email') : $cell('username'), 0, self::LONGEST_ACCOUNT),
            ];
        }
        if ($entries === []) {
            throw $notTaken === [] ? UnreadableFile::noNames() : UnreadableFile::longNames(PersonName::LONGEST);
        }
        if (count($entries) > self::MOST) {
            throw UnreadableFile::manyNames(count($entries), self::MOST);
        }

        return new self(self::seated($entries, $taken), $notTaken);
    }

    /**
     * Those without a number get the lowest that is free, in their order.
     *
     * @param  list<array{int, string, string, string}>  $entries
     * @param  array<int, true>  $taken
     * @return list<ClassEntry>
     */
    private static function seated(array $entries, array $taken): array
    {
        $free = 1;
        $seated = [];
        foreach ($entries as [$seat, $name, $group, $account]) {
            while ($seat === 0 && isset($taken[$free])) {
                $free++;
            }
            $n = $seat === 0 ? $free : $seat;
            $taken[$n] = true;
            $seated[] = new ClassEntry($n, $name, $group, $account);
        }
        usort($seated, static fn (ClassEntry $one, ClassEntry $two): int => $one->n <=> $two->n);

        return $seated;
    }

    /**
     * @param  list<string>  $heading
     * @return array<string, int> columns by what they hold
     */
    private static function columns(array $heading): array
    {
        $columns = [];
        foreach ($heading as $i => $cell) {
            $plain = mb_strtolower(trim(str_replace('_', ' ', $cell)));
            foreach (self::HEADINGS as $column => $names) {
                if (in_array($plain, $names, true)) {
                    $columns[$column] ??= $i;
                }
            }
        }

        return $columns;
    }

    /**
     * Without headings: a column of numbers holds the seats, the first of the others the names, the next the groups.
     *
     * @param  list<list<string>>  $rows
     * @return array<string, int>
     */
    private static function guessed(array $rows): array
    {
        $columns = [];
        foreach (array_keys($rows[0] ?? []) as $i) {
            $cells = array_filter(
                array_map(static fn (array $row): string => $row[$i] ?? '', $rows),
                static fn (string $cell): bool => $cell !== '',
            );
            $isNumbers =
                array_filter($cells, static fn (string $cell): bool => preg_match('/^\d{1,3}[.)]?$/', $cell) !== 1) ===
                [];
            $column = $isNumbers ? 'seat' : (isset($columns['name']) ? 'group' : 'name');
            $columns[$column] ??= $i;
        }
        if (
            isset($columns['name'], $columns['group']) &&
            self::isGivenName($rows, $columns['name'], $columns['group'])
        ) {
            ['name' => $columns['family'], 'group' => $columns['given']] = $columns;
            unset($columns['name'], $columns['group']);
        }

        return $columns;
    }

    /**
     * "Okoro, Ada": single words on both sides, and nearly every second one another; groups come again and again.
     *
     * @param  list<list<string>>  $rows
     */
    private static function isGivenName(array $rows, int $family, int $given): bool
    {
        $all = array_filter(array_column($rows, $given), static fn (string $cell): bool => $cell !== '');
        $single = array_filter(
            $rows,
            static fn (array $row): bool => ! str_contains(($row[$family] ?? '').($row[$given] ?? ''), ' '),
        );

        return count($single) === count($rows) &&
            count($all) === count($rows) &&
            count(array_unique($all)) >= 0.8 * count($rows);
    }

    private static function isStudent(string $role, string $status): bool
    {
        $roles = array_map(trim(...), explode(',', mb_strtolower($role)));

        return ($role === '' || in_array('student', $roles, true)) && mb_strtolower($status) !== 'tobedeleted';
    }

    /** "Family, Given" is turned round; a number before a name in a pasted list is left out. */
    private static function name(string $name): ?PersonName
    {
        $name = (string) preg_replace(['/^\s*\d{1,3}[.)]\s+/u', '/^([^,]+),\s*([^,]+)$/u'], ['', '$2 $1'], $name);
        try {
            return $name === '' ? null : PersonName::read($name);
        } catch (InvalidName) {
            return null;
        }
    }
}
