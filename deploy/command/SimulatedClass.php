<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/** The simulated class (demo/class.ts) as a process of its own: it is told words, and says words, a line each. */
final class SimulatedClass
{
    /** @var resource */
    private $process;

    /** @var array{resource, resource} */
    private array $pipes;

    private readonly string $errors;

    /** @param  string  ...$arguments  as demo/class.ts lists them, the mode first */
    public function __construct(string ...$arguments)
    {
        $this->errors =
            tempnam(sys_get_temp_dir(), 'crag-class') ?: throw new Problem('No temporary file can be made.');
        $process = proc_open(
            [
                'setpriv',
                '--pdeathsig',
                'TERM',
                '--',
                'node',
                Setup::root().'/storage/setup/demo/class.mjs',
                ...$arguments,
            ],
            [['pipe', 'r'], ['pipe', 'w'], ['file', $this->errors, 'a']],
            $pipes,
        );
        $this->process = $process === false ? throw new Problem('The simulated class could not be started.') : $process;
        $this->pipes = [$pipes[0], $pipes[1]];
        stream_set_blocking($pipes[1], false);
    }

    public function say(string $word): void
    {
        if ($this->isThere()) {
            @fwrite($this->pipes[0], $word."\n");
        }
    }

    /** Waits for a word, so many seconds. */
    public function hear(string $word, int $patience): void
    {
        $until = microtime(true) + $patience;
        $heard = '';
        while (! str_contains($heard, $word)) {
            // Read once more after it has gone: the word may be the last that it said.
            $isThere = $this->isThere();
            $heard .= (string) stream_get_contents($this->pipes[1]);
            if (! str_contains($heard, $word) && (! $isThere || microtime(true) > $until)) {
                throw new Problem(
                    "The simulated class did not say \"{$word}\":\n".(string) file_get_contents($this->errors),
                );
            }
            usleep(20_000);
        }
    }

    public function end(): void
    {
        if ($this->isThere()) {
            proc_terminate($this->process);
        }
        @unlink($this->errors);
    }

    private function isThere(): bool
    {
        return proc_get_status($this->process)['running'];
    }
}
