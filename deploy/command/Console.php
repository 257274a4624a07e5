<?php

declare(strict_types=1);

namespace Deploy;

/** What is said to the person at the terminal. Progress goes to the error stream, so that --json stays clean. */
final class Console
{
    public static function say(string $line): void
    {
        fwrite(STDOUT, $line."\n");
    }

    public static function step(string $line): void
    {
        fwrite(STDERR, '· '.$line."\n");
    }

    public static function error(string $line): void
    {
        fwrite(STDERR, $line."\n");
    }
}
