<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/** What a student works on, as far as its browser says. */
enum DeviceKind: string
{
    case Phone = 'phone';
    case Tablet = 'tablet';
    case Laptop = 'laptop';

    /** From a browser's User-Agent header: RFC 9110, section 10.1.5, and what browsers put there. */
    public static function of(string $userAgent): self
    {
        return match (true) {
            preg_match('/iPad|Tablet|Android(?!.*Mobile)/i', $userAgent) === 1 => self::Tablet,
            preg_match('/iPhone|Mobile/i', $userAgent) === 1 => self::Phone,
            default => self::Laptop,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Phone => 'phone',
            self::Tablet => 'tablet',
            self::Laptop => 'laptop',
        };
    }
}
