<?php

declare(strict_types=1);

namespace App\Http;

use RuntimeException;

/** The built files that a page is made of, from Vite's manifest (its "backend integration" describes the form). */
final class PageAssets
{
    private const FOLDER = '/build/';

    /** @var array<string, true> */
    private array $found = [];

    /** @param  array<string, array<string, mixed>>  $manifest  by the name of the source, or of the chunk */
    private function __construct(private readonly array $manifest)
    {
    }

    /**
     * What a page asks for as it opens: its scripts, styles and fonts, and not what they bring in when it is wanted.
     *
     * @param  string  ...$sources  its entries, as they are named in vite.config.ts
     * @return list<string> addresses on this server
     */
    public static function of(string ...$sources): array
    {
        $assets = new self(self::manifest());
        foreach ($sources as $source) {
            $assets->add($source);
        }

        return array_keys($assets->found);
    }

    /** Where one entry is built to, on this computer. */
    public static function path(string $source): string
    {
        $file = self::manifest()[$source]['file'] ?? null;

        if (! is_string($file)) {
            throw new RuntimeException("{$source} is not built.");
        }

        return public_path(self::FOLDER.$file);
    }

    private function add(string $name): void
    {
        $chunk = $this->manifest[$name] ?? [];
        $file = self::FOLDER.($chunk['file'] ?? '');
        if ($chunk === [] || isset($this->found[$file])) {
            return;
        }
        $this->found[$file] = true;
        foreach ([...(array) ($chunk['css'] ?? []), ...(array) ($chunk['assets'] ?? [])] as $beside) {
            $this->found[self::FOLDER.$beside] = true;
        }
        foreach ((array) ($chunk['imports'] ?? []) as $import) {
            $this->add((string) $import);
        }
    }

    /** @return array<string, array<string, mixed>> */
    private static function manifest(): array
    {
        $file = public_path(self::FOLDER.'manifest.json');

        /** @var array<string, array<string, mixed>> */
        return is_file($file) ? json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR) : [];
    }
}
