<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * What is said in a recording, in writing and in time. It is written as people type it, a line for each sentence, with
 * a time before those that have one: “0:07 The plank tips”. What has none is spread over the time that is left for it,
 * each sentence by its length.
 */
final readonly class Captions
{
    private const TIMED = '/^\s*(\d{1,2}):([0-5]\d)(?:[.,](\d))?\s+(?=\S)/u';

    /** @param  list<array{from: int, to: int, words: string}>  $lines  in milliseconds since the beginning, in order */
    private function __construct(public array $lines)
    {
    }

    /** @param  int  $lastsMs  how long the recording is */
    public static function read(string $words, int $lastsMs): self
    {
        // Where a time is said a block begins; the first one begins with the recording.
        $times = [0];
        $blocks = [[]];
        foreach (preg_split('/\R/u', $words) ?: [] as $line) {
            if (preg_match(self::TIMED, $line, $time) === 1) {
                $from = ((int) $time[1] * 60 + (int) $time[2]) * 1_000 + (int) ($time[3] ?? 0) * 100;
                // A time that runs backwards, or lies behind the end, is a slip: the order of the lines holds.
                $times[] = max($times[count($times) - 1], min($lastsMs, $from));
                $blocks[] = [];
                $line = mb_substr($line, mb_strlen($time[0]));
            }
            $sentences = preg_split('/(?<=[.!?…。؟])\s+/u', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            array_push($blocks[count($blocks) - 1], ...$sentences);
        }
        $lines = [];
        foreach ($blocks as $i => $sentences) {
            array_push($lines, ...self::spread($sentences, $times[$i], $times[$i + 1] ?? $lastsMs));
        }

        return new self($lines);
    }

    /** All of it without its times, a line for each sentence. */
    public function text(): string
    {
        return implode("\n", array_column($this->lines, 'words'));
    }

    /** As WebVTT (W3C, WebVTT: The Web Video Text Tracks Format). */
    public function vtt(): string
    {
        $cues = array_map(
            static fn (array $line): string => sprintf(
                "%s --> %s\n%s\n",
                self::time($line['from']),
                self::time($line['to']),
                str_replace(['&', '<', '>'], ['&amp;', '&lt;', '&gt;'], $line['words']),
            ),
            $this->lines,
        );

        return implode("\n", ["WEBVTT\n", ...$cues]);
    }

    /**
     * @param  list<string>  $sentences
     * @return list<array{from: int, to: int, words: string}>
     */
    private static function spread(array $sentences, int $from, int $to): array
    {
        $all = max(1, mb_strlen(implode('', $sentences)));
        $lines = [];
        $said = 0;
        foreach ($sentences as $sentence) {
            $begins = $from + intdiv(($to - $from) * $said, $all);
            $said += mb_strlen($sentence);
            $lines[] = ['from' => $begins, 'to' => $from + intdiv(($to - $from) * $said, $all), 'words' => $sentence];
        }

        return $lines;
    }

    private static function time(int $ms): string
    {
        return sprintf('%02d:%02d.%03d', intdiv($ms, 60_000), intdiv($ms, 1_000) % 60, $ms % 1_000);
    }
}
