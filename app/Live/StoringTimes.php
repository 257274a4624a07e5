<?php

declare(strict_types=1);

namespace App\Live;

/**
 * How long storing took: nginx writes a line for each batch that is posted and the keeper one for each that it takes,
 * with the moment and the seconds and nothing else.
 */
final readonly class StoringTimes
{
    private const MOST_READ = 256 * 1024;

    private const MOST_KEPT = 2 * 1024 * 1024;

    /** @param  list<float>  $seconds  in order of size */
    private function __construct(private array $seconds, public int $count)
    {
    }

    public static function ofLastMinutes(int $minutes, int $nowMs): self
    {
        $file = self::file();
        $size = (int) @filesize($file);
        $text = (string) @file_get_contents($file, offset: max(0, $size - self::MOST_READ));
        $seconds = [];
        foreach (explode("\n", $text) as $line) {
            // The first may have been cut in two.
            if (
                preg_match('/\A(\d+\.\d+) (\d+\.\d+) 200\z/', $line, $found) === 1 &&
                (float) $found[1] * 1000 >= $nowMs - $minutes * 60_000
            ) {
                $seconds[] = (float) $found[2];
            }
        }
        sort($seconds);

        return new self($seconds, count($seconds));
    }

    /** So many batches were stored just now, each within this. */
    public static function note(int $batches, float $seconds): void
    {
        if ($batches > 0) {
            $line = sprintf("%.3f %.3f 200\n", microtime(true), $seconds);
            @file_put_contents(self::file(), str_repeat($line, $batches), FILE_APPEND);
        }
    }

    /** @return float|string seconds; NaN where nothing was stored */
    public function quantile(float $share): float|string
    {
        return $this->seconds === []
            ? 'NaN'
            : $this->seconds[(int) min($this->count - 1, floor($share * $this->count))];
    }

    /** The file begins anew when it has grown. */
    public static function trim(): void
    {
        if ((int) @filesize(self::file()) >= self::MOST_KEPT) {
            @file_put_contents(self::file(), '');
        }
    }

    private static function file(): string
    {
        return config()->string('crag.run').'/stored.log';
    }
}
