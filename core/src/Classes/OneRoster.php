<?php

declare(strict_types=1);

namespace Crag\Classes;

use Crag\Formats\CsvReader;
use Crag\Formats\UnreadableFile;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;

/**
 * Classes and who is in them, from an export of a school's records: classes.csv, users.csv and enrollments.csv of
 * 1EdTech OneRoster 1.1 and 1.2, CSV binding. What is marked for deletion, and who is no student, is left out.
 */
final readonly class OneRoster
{
    public const FILES = ['classes.csv', 'users.csv', 'enrollments.csv'];

    public const MOST_ROWS = 100_000;

    /** What is kept of a row: an export of a whole town has many columns. */
    private const COLUMNS = [
        'classcode', 'classsourcedid', 'email', 'enableduser', 'familyname', 'givenname', 'preferredfirstname',
        'preferredlastname', 'role', 'sourcedid', 'title', 'username', 'usersourcedid',
    ];

    /** @param  list<RosteredClass>  $classes  those with students, by title */
    private function __construct(public array $classes)
    {
    }

    /**
     * @param  array<string, string>  $files  their bytes, by name
     *
     * @throws UnreadableFile
     */
    public static function read(array $files): self
    {
        foreach (self::FILES as $name) {
            if (! isset($files[$name])) {
                throw UnreadableFile::lacksFile('OneRoster', $name);
            }
        }
        $users = self::rows($files['users.csv'], 'users.csv', ['sourcedid', 'givenname', 'familyname']);
        $students = self::students($users);
        $members = [];
        $enrolled = self::rows($files['enrollments.csv'], 'enrollments.csv', ['classsourcedid', 'usersourcedid']);
        foreach ($enrolled as $row) {
            if (isset($students[$row['usersourcedid']]) && in_array($row['role'] ?? 'student', ['', 'student'], true)) {
                $members[$row['classsourcedid']][$row['usersourcedid']] = true;
            }
        }
        $classes = [];
        foreach (self::rows($files['classes.csv'], 'classes.csv', ['sourcedid', 'title']) as $row) {
            $in = array_values(array_intersect_key($students, $members[$row['sourcedid']] ?? []));
            if ($in !== []) {
                $title = mb_substr($row['title'] ?: ($row['classcode'] ?? '') ?: $row['sourcedid'], 0, 60);
                $classes[] = new RosteredClass($row['sourcedid'], $title, $in);
            }
        }
        if ($classes === []) {
            throw UnreadableFile::noClasses();
        }
        usort($classes, static fn (RosteredClass $a, RosteredClass $b): int => strnatcasecmp($a->title, $b->title));

        return new self($classes);
    }

    /**
     * @param  list<array<string, string>>  $users
     * @return array<string, RosteredStudent> by their id, in the order of their family names
     */
    private static function students(array $users): array
    {
        usort(
            $users,
            static fn (array $a, array $b): int => strnatcasecmp(
                "{$a['familyname']} {$a['givenname']}",
                "{$b['familyname']} {$b['givenname']}",
            ),
        );
        $students = [];
        foreach ($users as $row) {
            // 1.1 has the role here; 1.2 has it in roles.csv, and the enrolment says it as well.
            $roles = array_map(trim(...), explode(',', mb_strtolower($row['role'] ?? '')));
            $given = ($row['preferredfirstname'] ?? '') ?: $row['givenname'];
            $family = ($row['preferredlastname'] ?? '') ?: $row['familyname'];
            if (
                ($roles !== [''] && ! in_array('student', $roles, true)) ||
                mb_strtolower($row['enableduser'] ?? '') === 'false'
            ) {
                continue;
            }
            try {
                $name = PersonName::read(trim("{$given} {$family}"))->value;
            } catch (InvalidName) {
                continue;
            }
            $account = ($row['email'] ?? '') ?: ($row['username'] ?? '');
            $students[$row['sourcedid']] = new RosteredStudent($row['sourcedid'], $name, $account);
        }

        return $students;
    }

    /**
     * @param  list<string>  $needs  columns without which nothing can be made of it
     * @return list<array<string, string>> by column, in small letters; without what is marked for deletion
     */
    private static function rows(string $bytes, string $name, array $needs): array
    {
        $rows = CsvReader::each($bytes, self::MOST_ROWS);
        $columns = array_flip(array_map(mb_strtolower(...), $rows->valid() ? $rows->current() : []));
        foreach (array_diff($needs, array_keys($columns)) as $column) {
            throw UnreadableFile::lacksColumn($name, $column);
        }
        $kept = array_intersect_key($columns, array_flip(self::COLUMNS));
        $status = $columns['status'] ?? -1;
        $read = [];
        for ($rows->next(); $rows->valid(); $rows->next()) {
            $row = $rows->current();
            if (mb_strtolower($row[$status] ?? '') !== 'tobedeleted') {
                $read[] = array_map(static fn (int $at): string => $row[$at] ?? '', $kept);
            }
        }

        return $read;
    }
}
