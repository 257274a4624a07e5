<?php

declare(strict_types=1);

namespace Crag\School;

use Crag\Session\Rules\Refusal;

/** How much of an installation one of its schools may use; null for as much as there is. */
final readonly class Quotas
{
    private const MEGABYTE = 1_000_000;

    /**
     * @param  ?int  $teachers  accounts that may teach
     * @param  ?int  $sessions  that run at once
     * @param  ?int  $megabytes  of students' work, in millions of bytes
     */
    public function __construct(public ?int $teachers, public ?int $sessions, public ?int $megabytes)
    {
    }

    /** @param  int  $there  accounts that may teach now */
    public function letsInTeacher(int $there): bool
    {
        return $this->teachers === null || $there < $this->teachers;
    }

    /**
     * Why no session may begin now; null where one may.
     *
     * @param  int  $running  sessions that run now
     * @param  int  $bytes  of work that is kept
     */
    public function refusal(int $running, int $bytes): ?Refusal
    {
        return match (true) {
            $this->sessions !== null && $running >= $this->sessions => Refusal::SchoolSessions,
            $this->megabytes !== null && $bytes >= $this->megabytes * self::MEGABYTE => Refusal::SchoolSpace,
            default => null,
        };
    }
}
