<?php

declare(strict_types=1);

namespace Crag\Prompt;

/** How many canvases a prompt has, and who draws on one together. */
enum Sharing: string
{
    case Each = 'each';
    case Group = 'group';
    case Everyone = 'everyone';

    /** What comes after "one canvas for". */
    public function word(): string
    {
        return match ($this) {
            self::Each => 'each student',
            self::Group => 'each group',
            self::Everyone => 'everyone',
        };
    }

    /**
     * What the canvas that a student has for such a prompt stands for: a group's name, or nothing but "" for everyone.
     *
     * @param  string  $group  in which the student works; empty for none
     * @return ?string null where it is the student's own: whoever is in no group draws alone
     */
    public function standsFor(string $group): ?string
    {
        return match ($this) {
            self::Each => null,
            self::Group => $group === '' ? null : $group,
            self::Everyone => '',
        };
    }
}
