<?php

declare(strict_types=1);

namespace App\Log;

use Illuminate\Database\QueryException;
use Illuminate\Log\Logger;
use Monolog\LogRecord;
use Throwable;

/**
 * Takes out of every line of the log what tells of a person: ids, keys and tokens, addresses, and the values in SQL.
 */
final class Discreet
{
    public function __invoke(Logger $logger): void
    {
        $log = $logger->getLogger();
        if ($log instanceof \Monolog\Logger) {
            $log->pushProcessor(
                static fn (LogRecord $record): LogRecord => $record->with(
                    message: self::words($record->message),
                    context: array_map(
                        static fn (mixed $value): mixed => $value instanceof Throwable
                            ? self::fault($value)
                            : (is_string($value)
                                ? self::words($value)
                                : $value),
                        $record->context,
                    ),
                ),
            );
        }
    }

    public static function words(string $words): string
    {
        return (string) preg_replace(
            [
                // What a statement was run with stands in the framework's message.
                '/\(Connection: .*$/s',
                '/\b[0-9a-hjkmnp-tv-z]{26}\b/i',
                '/\b(?=[A-Za-z_-]*\d)[A-Za-z0-9_-]{16,}\b/',
                '/\b\d{1,3}(?:\.\d{1,3}){3}\b/',
                '/[\w.+-]+@[\w-]+\.[\w.]+/',
            ],
            ['', '…', '…', '…', '…'],
            $words,
        );
    }

    /** @return array<string, mixed> what went wrong and where, without the values */
    private static function fault(Throwable $fault): array
    {
        return [
            'fault' => $fault::class,
            'said' => self::words(
                $fault instanceof QueryException ? $fault->getPrevious()?->getMessage() ?? '' : $fault->getMessage(),
            ),
            'at' => basename($fault->getFile()).':'.$fault->getLine(),
            'by' => array_values(
                array_filter(
                    array_map(
                        static fn (array $step): string => isset($step['file'], $step['line']) &&
                        ! str_contains($step['file'], '/vendor/')
                            ? basename($step['file']).':'.$step['line']
                            : '',
                        $fault->getTrace(),
                    ),
                ),
            ),
        ];
    }
}
