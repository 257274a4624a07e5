<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\Xapi;
use PHPUnit\Framework\TestCase;

final class XapiTest extends TestCase
{
    public function test_statements_keep_to_the_rules_of_the_specification(): void
    {
        $xapi = new Xapi('https://crag.example', 's1', 'Bridges and Beams');
        $statements = [
            $xapi->attempted('a', 'Tamsin', '1', 'Draw the forces', 1_764_000_000_123),
            $xapi->completed('a', 'Tamsin', '1', '', 1_764_000_001_000),
            $xapi->scored('a', 'Tamsin', '1', 'Draw the forces', 2 / 3, 3.5, 5.0, 1_764_000_002_000),
            $xapi->answered('a', 'Tamsin', '1', 'q 1', 'F?', '80 N', true, 1_764_000_003_000),
            $xapi->answered('a', 'Tamsin', '1', 'q 2', 'How sure?', '4 / 5', null, 1_764_000_003_000),
        ];
        foreach ($statements as $statement) {
            self::assertSame(
                [],
                array_diff(['id', 'actor', 'verb', 'object', 'timestamp', 'version'], array_keys($statement)),
            );
            self::assertMatchesRegularExpression(
                '/\A[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}\z/',
                self::text($statement, 'id'),
            );
            self::assertNotFalse(filter_var(self::text($statement, 'verb', 'id'), FILTER_VALIDATE_URL));
            self::assertNotFalse(filter_var(self::text($statement, 'object', 'id'), FILTER_VALIDATE_URL));
            self::assertMatchesRegularExpression(
                '/\A\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z\z/',
                self::text($statement, 'timestamp'),
            );
            // One way of telling who it is, and no more: 2.4.2.3 of part 2.
            self::assertSame(
                ['account'],
                array_values(
                    array_intersect(
                        ['mbox', 'mbox_sha1sum', 'openid', 'account'],
                        array_keys((array) $statement['actor']),
                    ),
                ),
            );
        }
        self::assertSame('2025-11-24T16:00:00.123Z', $statements[0]['timestamp']);
        self::assertSame(
            ['score' => ['scaled' => 0.6667, 'raw' => 3.5, 'min' => 0, 'max' => 5.0]],
            $statements[2]['result'],
        );
        self::assertSame(['response' => '80 N', 'success' => true], $statements[3]['result']);
        self::assertSame(['response' => '4 / 5'], $statements[4]['result']);
        self::assertCount(
            5,
            array_unique(array_map(static fn (array $one): string => self::text($one, 'id'), $statements)),
        );
        self::assertSame(
            $statements[0],
            $xapi->attempted('a', 'Tamsin', '1', 'Draw the forces', 1_764_000_000_123),
            'the same is stated once',
        );
    }

    /** @param  array<string, mixed>  $statement */
    private static function text(array $statement, string ...$path): string
    {
        $value = $statement;
        foreach ($path as $key) {
            $value = is_array($value) ? $value[$key] ?? null : null;
        }

        return is_string($value) ? $value : '';
    }
}
