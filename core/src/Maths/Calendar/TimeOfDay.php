<?php

declare(strict_types=1);

namespace Crag\Maths\Calendar;

use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\Digits;

/** A time of day as it is typed: 14:30, 2.30 pm, half past two, noon. */
final readonly class TimeOfDay
{
    private const DAY = 86_400;

    private const HALF = 43_200;

    private const NUMBERS = [
        'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8,
        'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'twenty' => 20, 'twenty-five' => 25,
    ];

    private const NAMED = ['noon' => 43_200, 'midday' => 43_200, 'midnight' => 0, '12 noon' => 43_200, '12 midnight' => 0];

    private function __construct(
        private int $seconds,
        /** Whether it may be the morning or the afternoon. */
        private bool $isEither,
    ) {
    }

    /** Null where it is no time for sure: 2.30 may be a number. */
    public static function key(string $typed): ?self
    {
        $text = self::plain($typed);

        return preg_match('/:|[ap]m\b|o’clock|past| to |noon|midday|midnight/u', $text) === 1 ? self::read($typed) : null;
    }

    /** Compares with what was typed where a time is asked for. */
    public function compare(string $given): Verdict
    {
        $found = self::read($given);
        if ($found === null) {
            return Verdict::unreadable('Give a time, such as 14:30 or 2:30 pm.');
        }
        $apart = ($this->seconds - $found->seconds + self::DAY) % self::DAY;
        $isAlike = $apart % self::HALF === 0;

        return match (true) {
            $apart === 0, $isAlike && $this->isEither => Verdict::right(),
            $isAlike && $found->isEither => Verdict::otherForm('Say am or pm, or use the 24-hour clock.'),
            $isAlike => Verdict::wrong('Look again at am and pm.'),
            default => Verdict::wrong(),
        };
    }

    /** Whether two typed ones say the same. */
    public function is(self $other): bool
    {
        return $this->seconds === $other->seconds && $this->isEither === $other->isEither;
    }

    private static function read(string $typed): ?self
    {
        $text = self::plain($typed);
        if (isset(self::NAMED[$text])) {
            return new self(self::NAMED[$text], false);
        }
        preg_match('/^(.*?)\s*([ap])m$/us', $text, $found);
        [$clock, $half] = $found === [] ? [$text, ''] : [$found[1], $found[2]];
        $parts = self::spoken($clock) ?? self::figures($clock, $half !== '');
        if ($parts === null) {
            return null;
        }
        [$hour, $minute, $second, $isTold] = $parts;
        if ($minute > 59 || $second > 59 || $hour > 23 || ($half !== '' && ($hour < 1 || $hour > 12))) {
            return null;
        }
        if ($half !== '') {
            $hour = $hour % 12 + ($half === 'p' ? 12 : 0);
        }

        return new self(
            3600 * $hour + 60 * $minute + $second,
            $half === '' && ! $isTold && $hour >= 1 && $hour <= 12,
        );
    }

    /** @return ?array{int, int, int, bool} hours, minutes, seconds, and whether it is told by the 24-hour clock */
    private static function figures(string $text, bool $hasHalf): ?array
    {
        if (preg_match('/^(\d{1,2})\s*o’clock$/u', $text, $found) === 1 || ($hasHalf && preg_match('/^(\d{1,2})$/', $text, $found) === 1)) {
            return [(int) $found[1], 0, 0, false];
        }
        if (preg_match('/^(\d{1,2})(?:[:.h](\d{2}))(?::(\d{2}))?h?$/u', $text, $found) === 1) {
            return [(int) $found[1], (int) $found[2], (int) ($found[3] ?? 0), str_starts_with($found[1], '0')];
        }

        return preg_match('/^(\d{2})(\d{2})(?:\s*h(?:ours)?)?$/u', $text, $found) === 1
            ? [(int) $found[1], (int) $found[2], 0, true]
            : null;
    }

    /** @return ?array{int, int, int, bool} of "half past two", "quarter to 3", "ten past four" */
    private static function spoken(string $text): ?array
    {
        $pattern = '/^(half|(?:a )?quarter|[\w-]+)(?: minutes?)? (past|to) ([\w-]+)$/u';
        if (preg_match($pattern, $text, $found) !== 1) {
            return preg_match('/^([\w-]+) o’clock$/u', $text, $found) === 1 && ctype_alpha($found[1]) && isset(self::NUMBERS[$found[1]])
                ? [self::NUMBERS[$found[1]], 0, 0, false]
                : null;
        }
        $minutes = match (true) {
            $found[1] === 'half' => 30,
            str_ends_with($found[1], 'quarter') => 15,
            default => self::number($found[1]),
        };
        $hour = self::number($found[3]);
        if ($minutes === null || $hour === null || $hour < 1 || $hour > 12 || $minutes > 30) {
            return null;
        }

        return $found[2] === 'past'
            ? [$hour, $minutes, 0, false]
            : [$hour === 1 ? 12 : $hour - 1, 60 - $minutes, 0, false];
    }

    private static function number(string $word): ?int
    {
        return ctype_digit($word) ? (int) $word : self::NUMBERS[$word] ?? null;
    }

    private static function plain(string $typed): string
    {
        $text = mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', Digits::plain(mb_scrub($typed)))));
        $text = strtr($text, ["'" => '’', 'a.m.' => 'am', 'p.m.' => 'pm', 'a.m' => 'am', 'p.m' => 'pm', 'twenty five' => 'twenty-five']);

        return trim((string) preg_replace('/^(?:at|it’s|it is)\s+|\s+in the (?:morning|afternoon|evening)$/u', '', (string) preg_replace(
            ['/\s+in the morning$/u', '/\s+in the (?:afternoon|evening)$/u'],
            [' am', ' pm'],
            $text,
        )));
    }
}
