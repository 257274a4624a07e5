<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Lines have at most 120 characters. A sentence that somebody reads, or a script that a test gives to a browser, may
 * stand on a line of its own however long it is: cut in two it could no longer be found.
 */
final class LinesTest extends TestCase
{
    private const ROOT = __DIR__.'/../../../';

    private const MOST = 120;

    #[TestWith(['app'])]
    #[TestWith(['core'])]
    #[TestWith(['database'])]
    #[TestWith(['deploy/command'])]
    #[TestWith(['demo'])]
    #[TestWith(['resources/ts'])]
    #[TestWith(['resources/views'])]
    #[TestWith(['routes'])]
    #[TestWith(['tests'])]
    public function test_no_line_is_longer_than_a_screen_shows(string $folder): void
    {
        $long = [];
        $read = 0;
        foreach (self::files($folder) as $file => $text) {
            $read++;
            foreach (explode("\n", self::withoutSentences($text)) as $n => $line) {
                if (mb_strlen($line) > self::MOST) {
                    $long[] = "{$file}:".($n + 1);
                }
            }
        }
        self::assertGreaterThan(2, $read);
        self::assertSame([], $long);
    }

    public function test_a_long_line_is_found_and_a_long_sentence_is_not(): void
    {
        $words = str_repeat('words and more words ', 12);
        self::assertStringNotContainsString($words, self::withoutSentences("say('{$words}');"));
        self::assertStringNotContainsString($words, self::withoutSentences("<<<'JS'\n{$words}\nJS;"));
        self::assertStringContainsString($words, self::withoutSentences("// it's {$words}"));
        self::assertStringContainsString($words, self::withoutSentences("<p>{$words}</p>"));
    }

    /** Strings within a line, and what stands between the marks of a long one, are left out; lines stay lines. */
    private static function withoutSentences(string $text): string
    {
        $lines = static fn (array $found): string => str_repeat("\n", substr_count($found[0], "\n"));
        $text = (string) preg_replace_callback('/<<<[\'"]?(\w+)[\'"]?\n.*?\n\s*\1\b/s', $lines, $text);
        $text = (string) preg_replace_callback('/(?<![\w\\\\])`[^`]*`/s', $lines, $text);

        return (string) preg_replace(
            '/(?<=[\s(\[{=,.!?:])(?:\'(?:[^\'\\\\\n]|\\\\.)*\'|"(?:[^"\\\\\n]|\\\\.)*")/',
            "''",
            $text,
        );
    }

    /** @return iterable<string, string> */
    private static function files(string $folder): iterable
    {
        $all = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(self::ROOT.$folder, \FilesystemIterator::SKIP_DOTS),
        );
        /** @var \SplFileInfo $file */
        foreach ($all as $file) {
            if (in_array($file->getExtension(), ['php', 'ts'], true)) {
                $path = $file->getPathname();
                yield substr($path, strlen(self::ROOT)) => (string) file_get_contents($path);
            }
        }
    }
}
