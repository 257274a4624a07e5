<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/** An instance with the demo class in it: the session begun, and a simulated class that joins and draws. */
final readonly class DemoClass
{
    /** As many as were recorded; a larger class draws the same under other names. */
    public const STUDENTS = 24;

    public const MOST_STUDENTS = 100;

    /**
     * @param  array{
     *     desk: string, plans: string, join: string, code: string, screen: string, student: string,
     *     schools: string,
     * }  $addresses
     */
    private function __construct(public Instance $instance, public array $addresses)
    {
    }

    public static function start(string $host, int $port, string $name = 'demo'): self
    {
        $instance = Instance::fresh($name, $host, $port, true);
        $instance->start();
        try {
            return new self($instance, self::seed($instance->environment()));
        } catch (Problem $problem) {
            $instance->stop();
            throw $problem;
        }
    }

    /** Lets so many students come in and draw. */
    public function play(int $students): void
    {
        $root = Setup::root();
        $this->instance->launch(
            'class',
            [
                'node',
                "{$root}/storage/setup/demo/class.mjs",
                'play',
                $this->instance->address(),
                $this->addresses['code'],
                "{$root}/demo/class.json",
                (string) $students,
            ],
            isOnce: true,
        );
    }

    /** Lets the simulated class do something at the demo's desk, to its end: demo/class.ts. */
    public function simulate(string $what, string ...$how): void
    {
        Shell::run(
            [
                'setpriv',
                '--pdeathsig',
                'TERM',
                '--',
                'node',
                Setup::root().'/storage/setup/demo/class.mjs',
                $what,
                $this->instance->address(),
                $this->addresses['code'],
                $this->addresses['desk'],
                ...$how,
            ],
            Setup::root(),
        );
    }

    /**
     * @param  array<string, string>  $environment  of the instance
     * @return array{
     *     desk: string, plans: string, join: string, code: string, screen: string, student: string, schools: string,
     * }
     */
    public static function seed(array $environment): array
    {
        $process = proc_open(
            [PHP_BINARY, 'artisan', 'crag:demo'],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], STDERR],
            $pipes,
            Setup::root(),
            [...getenv(), ...$environment],
        );
        $printed = $process === false ? '' : (string) stream_get_contents($pipes[1]);
        $code = $process === false ? 1 : proc_close($process);
        $addresses = json_decode($printed, true);
        if ($code !== 0 || ! is_array($addresses)) {
            throw new Problem("The demo session could not be begun:\n{$printed}");
        }

        /**
         * @var array{
         *     desk: string, plans: string, join: string, code: string, screen: string, student: string,
         *     schools: string,
         * } $addresses
         */
        return $addresses;
    }
}
