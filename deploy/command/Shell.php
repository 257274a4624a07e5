<?php

declare(strict_types=1);

namespace Deploy;

/** Running a program to its end. */
final class Shell
{
    /**
     * Runs it with its output going to a log; on failure the end of the log is in the message.
     *
     * @param  list<string>  $command
     * @param  array<string, string>  $environment  added to this process's own
     */
    public static function run(array $command, string $folder, array $environment = []): void
    {
        $log = tempnam(sys_get_temp_dir(), 'crag');
        if ($log === false) {
            throw new Problem('No temporary file can be made in '.sys_get_temp_dir().'.');
        }
        $process = proc_open(
            $command,
            [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
            $pipes,
            $folder,
            [...getenv(), ...$environment],
        );
        $code = $process === false ? 127 : proc_close($process);
        $output = (string) file_get_contents($log);
        unlink($log);
        if ($code !== 0) {
            throw new Problem(
                '`'.
                    implode(' ', $command).
                    "` failed ({$code}):\n".
                    implode("\n", array_slice(explode("\n", trim($output)), -25)),
            );
        }
    }

    /**
     * Runs it and gives what it printed.
     *
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    public static function output(array $command, string $folder, array $environment = []): string
    {
        $process = proc_open($command, [['file', '/dev/null', 'r'], ['pipe', 'w']], $pipes, $folder, [
            ...getenv(),
            ...$environment,
        ]);
        $output = $process === false ? '' : (string) stream_get_contents($pipes[1]);
        $code = $process === false ? 127 : proc_close($process);

        return $code === 0
            ? $output
            : throw new Problem('`'.implode(' ', $command)."` failed ({$code}):\n".trim($output));
    }

    /**
     * Runs it with the terminal's own streams.
     *
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    public static function show(array $command, string $folder, array $environment = []): int
    {
        $process = proc_open(
            $command,
            // Streams that are not named are handed on as they are; named, a file would be written from where PHP
            // believes it to end.
            [['file', '/dev/null', 'r']],
            $pipes,
            $folder,
            [...getenv(), ...$environment],
        );

        return $process === false ? 127 : proc_close($process);
    }

    public static function has(string $program): bool
    {
        foreach ([...explode(':', (string) getenv('PATH')), '/usr/sbin', '/usr/bin'] as $folder) {
            if (is_executable("{$folder}/{$program}")) {
                return true;
            }
        }

        return false;
    }
}
