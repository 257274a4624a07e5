<?php

declare(strict_types=1);

namespace Crag\Maths\Calendar;

use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\Digits;

/** A date as it is typed: 3 May 2026, 3/5/2026, 2026-05-03 (ISO 8601). In figures the day stands before the month. */
final readonly class CalendarDate
{
    private const MONTHS = [
        'january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november',
        'december',
    ];

    private const WEEKDAYS = '(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day|mon|tues?|wed|thu(?:rs?)?|fri|sat|sun)\.?,?\s+';

    private function __construct(public int $day, public int $month, public ?int $year)
    {
    }

    /** Null where it is no date for sure: 3/5 may be a fraction. */
    public static function key(string $typed): ?self
    {
        return self::named($typed) ?? (preg_match('~\d{4}~', $typed) === 1 ? self::figures($typed)[0] ?? null : null);
    }

    /** Compares with what was typed where a date is asked for. */
    public function compare(string $given): Verdict
    {
        $named = self::named($given);
        $found = $named === null ? self::figures($given) : [$named];
        if ($found === []) {
            return Verdict::unreadable('Give a date, such as 3 May 2026.');
        }
        if ($found[0]->isDayOf($this)) {
            return match (true) {
                $this->year === null, $found[0]->year === $this->year => Verdict::right(),
                $found[0]->year === null => Verdict::otherForm('The year is missing.'),
                default => Verdict::wrong('Look again at the year.'),
            };
        }

        return isset($found[1]) && $found[1]->isDayOf($this)
            ? Verdict::otherForm('In figures, put the day before the month.')
            : Verdict::wrong();
    }

    /** Whether two typed ones say the same. */
    public function is(self $other): bool
    {
        return $this->isDayOf($other) && $this->year === $other->year;
    }

    private function isDayOf(self $other): bool
    {
        return $this->day === $other->day && $this->month === $other->month;
    }

    /** With the month's name. */
    private static function named(string $typed): ?self
    {
        $text = self::plain($typed);
        $month = '(\p{L}{3,9})\.?';
        $day = '(\d{1,2})(?:st|nd|rd|th)?';
        if (preg_match("/^(?:the )?{$day}(?: of)?\\s*{$month}(?:,?\\s*(\\d{4}))?$/u", $text, $found) === 1) {
            return self::of((int) $found[1], self::month($found[2]), isset($found[3]) ? (int) $found[3] : null);
        }
        if (preg_match("/^{$month}\\s*(?:the )?{$day}(?:,?\\s*(\\d{4}))?$/u", $text, $found) === 1) {
            return self::of((int) $found[2], self::month($found[1]), isset($found[3]) ? (int) $found[3] : null);
        }

        return null;
    }

    /** @return list<self> as it is meant here, and with day and month changed where that is a date too */
    private static function figures(string $typed): array
    {
        $text = self::plain($typed);
        if (preg_match('~^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$~', $text, $found) === 1) {
            $date = self::of((int) $found[3], (int) $found[2], (int) $found[1]);

            return $date === null ? [] : [$date];
        }
        if (preg_match('~^(\d{1,2})\s?[-/.]\s?(\d{1,2})(?:\s?[-/.]\s?(\d{4}|\d{2}))?\.?$~', $text, $found) !== 1) {
            return [];
        }
        // Two figures are a year of this century.
        $year = match (strlen($found[3] ?? '')) {
            0 => null,
            2 => 2000 + (int) $found[3],
            default => (int) $found[3],
        };
        $both = [self::of((int) $found[1], (int) $found[2], $year), self::of((int) $found[2], (int) $found[1], $year)];

        return array_values(array_filter($both));
    }

    private static function of(int $day, int $month, ?int $year): ?self
    {
        // Without a year 29 February is a day.
        return checkdate($month, $day, $year ?? 2000) ? new self($day, $month, $year) : null;
    }

    /** From 1; 0 where it is none. */
    private static function month(string $name): int
    {
        foreach (self::MONTHS as $i => $month) {
            if ($name === $month || $name === mb_substr($month, 0, 3) || ($name === 'sept' && $i === 8)) {
                return $i + 1;
            }
        }

        return 0;
    }

    private static function plain(string $typed): string
    {
        $text = mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', Digits::plain(mb_scrub($typed)))));

        return (string) preg_replace('/^'.self::WEEKDAYS.'/u', '', $text);
    }
}
