<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

/** As whom somebody acts in a session. */
enum Role: string
{
    case Student = 'student';
    /** A second teacher who sees, coaches and checks. */
    case Helper = 'helper';
    /** The teacher, and every colleague with the same rights. */
    case Colleague = 'colleague';

    public function word(): string
    {
        return match ($this) {
            self::Student => 'Student',
            self::Helper => 'Helper',
            self::Colleague => 'Colleague',
        };
    }

    /** The pen in which coach ink begins: a student sees whose it is. */
    public function coachPen(): string
    {
        return $this === self::Helper ? 'Lichen' : 'Heather';
    }
}
