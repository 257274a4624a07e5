<?php

declare(strict_types=1);

namespace Crag\Checks;

/** How secure each skill of a class was, session by session. */
final readonly class OverTime
{
    /**
     * @param  list<string>  $sessions  the oldest first
     * @param  array<string, array<string, float>>  $skills  by skill and session: the class's share, from 0 to 1
     * @param  array<string, array<string, array<string, float>>>  $students  by skill, student and session
     */
    private function __construct(public array $sessions, public array $skills, public array $students)
    {
    }

    /**
     * @param  array<string, array{picture: ClassPicture, students: array<string, string>}>  $sessions  by id, the
     *      oldest first; students
     *                                                                                                   are who sat in
     * which seat
     */
    public static function of(array $sessions): self
    {
        $skills = $students = [];
        foreach ($sessions as $id => ['picture' => $picture, 'students' => $who]) {
            foreach ($picture->skills as $skill => $of) {
                if ($of['class'] !== null) {
                    $skills[$skill][(string) $id] = $of['class'];
                }
                foreach ($of['seats'] as $seat => $share) {
                    if ($share !== null && isset($who[$seat])) {
                        $students[$skill][$who[$seat]][(string) $id] = $share;
                    }
                }
            }
        }
        ksort($skills);

        return new self(array_map(strval(...), array_keys($sessions)), $skills, $students);
    }

    /**
     * @return ?float from the first time that a student's skill was checked to the last; null for fewer than two times
     */
    public function change(string $skill, string $student): ?float
    {
        $shares = array_values($this->students[$skill][$student] ?? []);

        return count($shares) < 2 ? null : $shares[count($shares) - 1] - $shares[0];
    }
}
