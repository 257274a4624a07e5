<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Arrows run one way: views and scripts to the application, the application to the core, and within both no circle. */
final class ArrowsTest extends TestCase
{
    private const ROOT = __DIR__.'/../../../';

    /**
     * @return iterable<string, array{string, list<string>}> a folder, and the beginnings of names that nothing in it
     *      may use
     */
    public static function forbidden(): iterable
    {
        yield 'the core knows no framework and no application' => [
            'core/src',
            ['Illuminate\\', 'Symfony\\', 'App\\', 'Deploy\\'],
        ];
        yield 'sessions know no requests' => ['app/Sessions', ['App\\Http\\', 'Illuminate\\Http\\']];
        yield 'models know no requests' => ['app/Models', ['App\\Http\\', 'Illuminate\\Http\\']];
        yield 'what goes onto a log knows no sessions' => ['app/Canvas', ['App\\Sessions\\', 'App\\Http\\']];
        yield 'the application knows nothing of the command that starts it' => ['app', ['Deploy\\', 'Tests\\']];
        yield 'a setting can be read without a canvas' => ['core/src/Json', ['Crag\\']];
        yield 'a prompt can be read without a canvas' => [
            'core/src/Prompt',
            ['Crag\\Canvas\\', 'Crag\\Plan\\', 'Crag\\Session\\'],
        ];
    }

    /** @param  list<string>  $names */
    #[DataProvider('forbidden')]
    public function test_nothing_in_a_folder_uses_what_lies_above_it(string $folder, array $names): void
    {
        $found = [];
        $own = ['core/src/Json' => 'Crag\\Json\\'][$folder] ?? null;
        foreach (self::uses($folder) as [$file, $used]) {
            foreach ($names as $name) {
                if (str_starts_with($used, $name) && ($own === null || ! str_starts_with($used, $own))) {
                    $found[] = "{$file} uses {$used}";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function test_no_part_of_the_core_leads_back_to_itself(): void
    {
        $arrows = [];
        foreach (self::uses('core/src') as [$file, $used]) {
            [$from, $to] = [explode('/', substr($file, strlen('core/src/')))[0], explode('\\', $used)[1] ?? ''];
            if (str_starts_with($used, 'Crag\\') && $from !== $to) {
                $arrows[$from][$to] = true;
            }
        }
        self::assertGreaterThan(8, count($arrows));
        $circles = [];
        foreach (array_keys($arrows) as $part) {
            $reached = self::reachedFrom($part, $arrows);
            if (isset($reached[$part])) {
                $circles[] = $part;
            }
        }
        self::assertSame([], $circles);
    }

    /**
     * @param  array<string, array<string, true>>  $arrows
     * @return array<string, true>
     */
    private static function reachedFrom(string $part, array $arrows): array
    {
        $reached = [];
        $next = array_keys($arrows[$part] ?? []);
        while ($next !== []) {
            $one = array_pop($next);
            if (! isset($reached[$one])) {
                $reached[$one] = true;
                array_push($next, ...array_keys($arrows[$one] ?? []));
            }
        }

        return $reached;
    }

    /** @return iterable<array{string, string}> a file, and a class that it imports or names in full */
    private static function uses(string $folder): iterable
    {
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(self::ROOT.$folder, \FilesystemIterator::SKIP_DOTS),
        );
        /** @var \SplFileInfo $file */
        foreach ($files as $file) {
            if ($file->getExtension() !== 'php') {
                continue;
            }
            $code = (string) preg_replace('~/\*.*?\*/~s', '', (string) file_get_contents($file->getPathname()));
            preg_match_all(
                '/(?:^use |[\s(!]\\\\)((?:Crag|App|Deploy|Tests|Illuminate|Symfony)\\\\[\w\\\\]+)/m',
                $code,
                $found,
            );
            foreach ($found[1] as $used) {
                yield [substr($file->getPathname(), strlen(self::ROOT)), $used];
            }
        }
    }
}
