<?php

declare(strict_types=1);

namespace Crag\Groups;

/** By what groups are made. */
enum Basis: string
{
    /** Students with a like need together. */
    case Alike = 'alike';
    /** In each group some who are secure and some who are not. */
    case Mixed = 'mixed';
    /** Those with the same slip together, the others by need. */
    case Slip = 'slip';
    /** Whoever the draw brings together. */
    case Random = 'random';

    public function word(): string
    {
        return match ($this) {
            self::Alike => 'Students who need the same thing',
            self::Mixed => 'Mixed on purpose',
            self::Slip => 'Students with the same slip or gap',
            self::Random => 'At random',
        };
    }
}
