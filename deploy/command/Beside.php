<?php

declare(strict_types=1);

namespace Deploy;

/** A command that runs beside others; what it says is said when it is waited for. */
final readonly class Beside
{
    /** @param  resource  $process */
    private function __construct(private mixed $process, private string $log)
    {
    }

    /** @param  list<string>  $command */
    public static function start(array $command, string $folder): self
    {
        $log = (string) tempnam(sys_get_temp_dir(), 'crag');
        $process = proc_open(
            $command,
            [['file', '/dev/null', 'r'], ['file', $log, 'a'], ['file', $log, 'a']],
            $pipes,
            $folder,
        );
        if ($process === false) {
            throw new Problem("`{$command[0]}` could not be started.");
        }

        return new self($process, $log);
    }

    /** @return int its exit code, once it has ended */
    public function finish(): int
    {
        $code = proc_close($this->process);
        fwrite(STDOUT, (string) file_get_contents($this->log));
        unlink($this->log);

        return $code;
    }
}
