<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Teachers\Roster;
use App\Models\Teachers\RosterEntry;
use App\Models\Teachers\Teacher;
use Crag\Classes\ClassList;
use Crag\Classes\FreeSeats;
use Crag\Classes\RosteredClass;
use Crag\Classes\RosteredStudent;
use Illuminate\Support\Facades\DB;

/**
 * Classes of a school's records become a teacher's class lists. One that was taken before is brought up to date: who is
 * new is added, who has left is taken off, and seat numbers, groups and PINs stay as they are.
 */
final class TakeClasses
{
    /**
     * @param  list<RosteredClass>  $classes
     * @return list<string> titles of classes with more students than a list can have: left out
     */
    public function __invoke(Teacher $teacher, array $classes): array
    {
        $isLarge = static fn (RosteredClass $one): bool => count($one->students) > ClassList::MOST;
        $large = array_filter($classes, $isLarge);
        DB::transaction(function () use ($teacher, $classes, $large): void {
            foreach (array_diff_key($classes, $large) as $class) {
                $this->take($teacher, $class);
            }
        });

        return array_map(static fn (RosteredClass $one): string => $one->title, array_values($large));
    }

    private function take(Teacher $teacher, RosteredClass $class): void
    {
        $roster = $teacher->rosters()->where('source', $class->id)->first() ??
            $teacher->rosters()->create(['name' => $class->title, 'source' => $class->id]);
        $there = $roster->entries()->whereNotNull('source')->get()->keyBy('source');
        $ids = array_map(static fn (RosteredStudent $one): string => $one->id, $class->students);
        $roster->entries()->whereNotNull('source')->whereNotIn('source', $ids)->delete();
        $seats = FreeSeats::besides($roster->entries()->pluck('n')->map(static fn (mixed $n): int => (int) $n));
        foreach ($class->students as $student) {
            $told = ['name' => $student->name, 'account' => self::account($student->account)];
            $entry = $there->get($student->id);
            if ($entry instanceof RosterEntry) {
                $entry->update($told);
            } else {
                $this->add($roster, $student, $told, $seats);
            }
        }
    }

    /** @param  array{name: string, account: string}  $told */
    private function add(Roster $roster, RosteredStudent $student, array $told, FreeSeats $seats): void
    {
        // A name that the teacher had typed before is that student.
        $typed = $roster->entries()->whereNull('source')->get()->first(
            static fn (RosterEntry $one): bool => mb_strtolower($one->name) === mb_strtolower($student->name),
        );
        $typed === null
            ? $roster->entries()->create(['n' => $seats->take(1), 'source' => $student->id] + $told)
            : $typed->update(['source' => $student->id] + $told);
    }

    /** Kept only where students can sign in with it. */
    public static function account(string $account): string
    {
        return SchoolAccount::isThere() ? mb_strtolower(mb_substr($account, 0, ClassList::LONGEST_ACCOUNT)) : '';
    }
}
