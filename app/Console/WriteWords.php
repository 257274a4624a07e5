<?php

declare(strict_types=1);

namespace App\Console;

use App\Http\Words\BenchWords;
use App\Http\Words\DeskWords;
use App\Http\Words\PlanWords;
use App\Http\Words\ScreenWords;
use App\Http\Words\StudentWords;
use Illuminate\Console\Command;

/**
 * Tells the scripts by what names they find their sentences, so that a name that is missing stops the build instead of
 * standing on somebody's screen.
 */
final class WriteWords extends Command
{
    public const FILE = 'ts/protocol/words.ts';

    protected $signature = 'crag:words';

    protected $description = 'Write the names of the scripts’ sentences for TypeScript';

    public function handle(): int
    {
        file_put_contents(resource_path(self::FILE), self::written());

        return self::SUCCESS;
    }

    /** What the file has to hold. */
    public static function written(): string
    {
        $bench = array_keys(BenchWords::all());
        $types = [
            'Bench' => $bench,
            'Desk' => array_diff(array_keys(DeskWords::all()), $bench),
            'Student' => array_diff(array_keys(StudentWords::all()), $bench),
            'Plan' => array_diff(array_keys(PlanWords::all()), $bench),
            'Screen' => array_keys(ScreenWords::all()),
        ];
        $lines = [
            '// Written by `php artisan crag:words` from app/Http/Words; `./crag fix` runs it.',
            '',
            '/** Sentences by their names. */',
            'export type Words<Name extends string> = Readonly<Record<Name, string>>;',
            '',
        ];
        foreach ($types as $name => $words) {
            sort($words);
            $lines[] = "export type {$name}Word =";
            foreach ($words as $i => $word) {
                $lines[] = "    | '{$word}'".($i === count($words) - 1 ? ';' : '');
            }
            $lines[] = '';
        }
        $lines[] = 'export type BenchWords = Words<BenchWord>;';
        foreach (['Desk', 'Student', 'Plan'] as $name) {
            $lines[] = "export type {$name}Words = Words<BenchWord | {$name}Word>;";
        }
        $lines[] = 'export type ScreenWords = Words<ScreenWord>;';

        return implode("\n", $lines)."\n";
    }
}
