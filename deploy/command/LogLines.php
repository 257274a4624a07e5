<?php

declare(strict_types=1);

namespace Deploy;

/** What the parts of an instance log, handed on as lines of JSON, as whoever collects them from the output wants it. */
final class LogLines
{
    private const AT_ONCE = 65_536;

    /** A file that was handed on begins anew when it has grown so far. */
    private const LONGEST = 1_000_000;

    /** @var array<string, int> how far each file was read */
    private array $read = [];

    /** @param  string  $run  the instance's folder */
    public function __construct(private readonly string $run, private readonly string $node)
    {
    }

    /** @return list<string> what has come since the last time, whole lines */
    public function since(): array
    {
        $lines = [];
        foreach (glob("{$this->run}/*.{log,out}", GLOB_BRACE) ?: [] as $file) {
            $part = pathinfo($file, PATHINFO_FILENAME);
            // Moments and seconds, for /metrics.
            if ($part === 'stored') {
                continue;
            }
            foreach ($this->new($file) as $line) {
                $lines[] = $this->json($part, $line);
            }
        }

        return $lines;
    }

    private function json(string $part, string $line): string
    {
        $told = json_decode($line, true);

        return (string) json_encode(
            ['node' => $this->node, 'part' => $part] + (is_array($told) ? $told : ['message' => $line]),
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    /** @return list<string> */
    private function new(string $file): array
    {
        clearstatcache(true, $file);
        $from = $this->read[$file] ?? 0;
        $size = (int) @filesize($file);
        if ($size < $from) {
            $from = 0;
        }
        if ($size === $from) {
            if ($size > self::LONGEST) {
                @file_put_contents($file, '');
                $from = 0;
            }
            $this->read[$file] = $from;

            return [];
        }
        $text = (string) @file_get_contents($file, offset: $from, length: self::AT_ONCE);
        $end = strrpos($text, "\n");
        // A line that never ends is cut.
        $whole = $end === false ? (strlen($text) === self::AT_ONCE ? $text : '') : substr($text, 0, $end + 1);
        $this->read[$file] = $from + strlen($whole);

        return array_values(array_filter(explode("\n", $whole), static fn (string $line): bool => trim($line) !== ''));
    }
}
