<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use PHPUnit\Framework\TestCase;

/**
 * A class name means one thing: a name that two parts of the interface use, or that Bootstrap has, brings the looks of
 * one to the other. Names that are joined from parts cannot be looked for, so none are.
 */
final class StylesTest extends TestCase
{
    private const ROOT = __DIR__.'/../../..';

    /** What we restyle of Bootstrap's on purpose, in one place. */
    private const RESTYLED = ['btn', 'btn-outline-danger'];

    public function test_no_name_is_styled_in_two_files_or_is_bootstraps(): void
    {
        $bootstraps = self::names(
            (string) file_get_contents(self::ROOT.'/node_modules/bootstrap/dist/css/bootstrap.css'),
            '/\.(-?[A-Za-z_][\w-]*)/',
        );
        self::assertContains('container', $bootstraps);
        $ours = [];
        foreach (self::files('resources/scss', 'scss') as $file => $text) {
            // A rule of its own: the bare name, at the left edge, alone or in a list.
            foreach (array_unique(self::names($text, '/^\.([A-Za-z][\w-]*)(?=\s*[,{])/m')) as $name) {
                $ours[$name][] = basename($file);
            }
        }
        self::assertGreaterThan(300, count($ours));
        self::assertSame(
            [],
            array_filter($ours, static fn (array $files): bool => count($files) > 1),
            'styled in two files',
        );
        self::assertSame(
            [],
            array_values(array_diff(array_intersect(array_keys($ours), $bootstraps), self::RESTYLED)),
            'Bootstrap has these',
        );
    }

    public function test_no_name_is_joined_from_parts(): void
    {
        $joined = [];
        foreach (self::files('resources/ts', 'ts') as $file => $text) {
            foreach (
                self::names($text, '/(?:className\s*[:=]|classList\.\w+\()\s*[^;\n]*?(`[^`\n]*-\$\{[^`\n]*`)/') as $name
            ) {
                $joined[] = basename($file).": {$name}";
            }
        }
        foreach (self::files('resources/views', 'php') as $file => $text) {
            foreach (self::names($text, '/class="[^"]*?([\w-]+-\{\{[^"]*)"/') as $name) {
                // The size of a sample of letters, and what the class screen shows: each list is short and beside its
                // styles.
                if (preg_match('/^(?:size-sample|shown)-\{\{/', $name) !== 1) {
                    $joined[] = basename($file).": {$name}";
                }
            }
        }
        self::assertSame([], $joined);
    }

    /** @return list<string> */
    private static function names(string $text, string $pattern): array
    {
        preg_match_all($pattern, $text, $found);

        return array_values(array_unique($found[1]));
    }

    /** @return iterable<string, string> */
    private static function files(string $folder, string $ending): iterable
    {
        foreach (
            new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator(self::ROOT."/{$folder}", \FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === $ending) {
                yield $file->getPathname() => (string) file_get_contents($file->getPathname());
            }
        }
    }
}
