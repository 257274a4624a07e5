<?php

declare(strict_types=1);

namespace Crag\Plan;

/** Which pages of a file are meant: "1-6, 9" or "all". */
final readonly class PageChoice
{
    /** @param  non-empty-list<int>  $pages  from 1, each once, in the order in which they were named */
    private function __construct(public array $pages)
    {
    }

    /** @throws InvalidPages */
    public static function read(string $typed, int $pages, int $most): self
    {
        $chosen = [];
        $typed = trim($typed);
        foreach ($typed === '' ? [] : explode(',', mb_strtolower($typed) === 'all' ? "1-{$pages}" : $typed) as $part) {
            if (preg_match('/^\s*(\d{1,5})\s*(?:[-–]\s*(\d{1,5})\s*)?$/u', $part, $found) !== 1) {
                throw InvalidPages::unreadable(trim($part));
            }
            [$from, $to] = [(int) $found[1], (int) ($found[2] ?? $found[1])];
            if ($from > $to) {
                throw InvalidPages::unreadable(trim($part));
            }
            foreach ([$from, $to] as $page) {
                if ($page < 1 || $page > $pages) {
                    throw InvalidPages::missing($page, $pages);
                }
            }
            foreach (range($from, $to) as $page) {
                $chosen[$page] = $page;
            }
        }
        if ($chosen === []) {
            throw InvalidPages::none();
        }

        return count($chosen) > $most
            ? throw InvalidPages::many(count($chosen), $most)
            : new self(array_values($chosen));
    }
}
