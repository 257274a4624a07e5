<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Child;
use Tests\Support\BrowserTestCase;
use Tests\Support\Visitor;

/** The workers that stay started: whoever asks after whom, each gets their own; and what happens when they end. */
final class WorkersTest extends BrowserTestCase
{
    private const STUDENTS = 12;

    private string $code;

    private string $desk;

    /** @var array<string, Visitor> */
    private array $visitors = [];

    protected function setUp(): void
    {
        $this->desk = $this->visitor('teacher')->start('Bridges');
        $this->code = (string) $this->sql('select join_code from live_sessions order by rowid desc limit 1');
    }

    public function test_whoever_asks_after_whom_gets_what_is_theirs(): void
    {
        $seats = [];
        for ($n = 1; $n <= self::STUDENTS; $n++) {
            $seats["Student {$n}"] = $this->comeIn("Student {$n}");
        }
        for ($round = 0; $round < 3; $round++) {
            foreach ($seats as $name => $seat) {
                $own = $this->ask($name, 'GET', $seat);
                self::assertSame(200, $own['status']);
                self::assertStringContainsString(">{$name}</span>", $own['body']);
                foreach (array_diff_key($seats, [$name => '']) as $other => $others) {
                    self::assertStringNotContainsString(">{$other}</span>", $own['body']);
                    self::assertStringNotContainsString(basename($others), $own['body']);
                }
                $others = $seats['Student '.(1 + ($round + (int) substr($name, 8)) % self::STUDENTS)];
                self::assertSame(403, $this->ask($name, 'GET', $others)['status']);
                // The teacher comes between two of them, and somebody who is nobody.
                self::assertSame(200, $this->ask('teacher', 'GET', $this->desk)['status']);
                foreach ([$this->desk, $seat] as $address) {
                    $nobody = $this->ask("nobody {$round} {$name}", 'GET', $address);
                    self::assertSame(403, $nobody['status'], $address);
                    self::assertStringNotContainsString('crag_teacher', $nobody['head']);
                    self::assertStringNotContainsString('crag_seat', $nobody['head']);
                }
            }
        }
        self::assertSame([], $this->processes('php-fpm', 'page'), 'nobody else was asked');
    }

    public function test_what_was_wrong_in_one_form_is_said_to_nobody_else(): void
    {
        $token = '';
        for ($n = 0; $n < 8; $n++) {
            $token = $this->visitor('the one')->token("/join/{$this->code}");
            $wrong = $this->ask('the one', 'POST', '/join', ['_token' => $token, 'code' => $this->code, 'name' => '']);
            self::assertSame(302, $wrong['status']);
            $other = $this->ask("another {$n}", 'GET', "/join/{$this->code}");
            self::assertSame(200, $other['status']);
            self::assertStringNotContainsString('class="problem"', $other['body']);
            $told = $this->ask('the one', 'GET', "/join/{$this->code}");
            self::assertStringContainsString('class="problem"', $told['body']);
        }
        // Nor does one browser's word for its forms hold for another.
        $forged = $this->ask('another 1', 'POST', '/join', [
            '_token' => $token,
            'code' => $this->code,
            'name' => 'Somebody',
        ]);
        self::assertSame(419, $forged['status']);
    }

    public function test_links_are_to_the_address_that_each_one_came_by(): void
    {
        $port = self::$crag->port;
        for ($n = 0; $n < 10; $n++) {
            foreach (["127.0.0.1:{$port}", "localhost:{$port}"] as $host) {
                $page = $this->ask($host, 'GET', '/', headers: ["Host: {$host}"])['body'];
                self::assertStringContainsString("href=\"http://{$host}/app.webmanifest\"", $page);
            }
        }
    }

    public function test_answers_are_whole_in_every_form(): void
    {
        $seat = $this->comeIn('Aino');
        $page = $this->ask('Aino', 'GET', $seat);
        self::assertGreaterThan(100_000, strlen($page['body']));
        self::assertStringEndsWith('</html>', trim($page['body']));
        $head = $this->ask('Aino', 'HEAD', $seat);
        self::assertSame([200, ''], [$head['status'], $head['body']]);
        self::assertStringContainsString('Content-Security-Policy', $head['head']);
        // A form with a file in it is for PHP itself to take apart.
        $token = $this->visitor('Bo')->token("/join/{$this->code}");
        $form = ['_token' => $token, 'code' => $this->code, 'name' => 'Bo'];
        $boundary = 'made-up';
        $parts = '';
        foreach ($form as $name => $value) {
            $parts .= "--{$boundary}\r\nContent-Disposition: form-data; name=\"{$name}\"\r\n\r\n{$value}\r\n";
        }
        $joined = $this->ask(
            'Bo',
            'POST',
            '/join',
            "{$parts}--{$boundary}--\r\n",
            ["Content-Type: multipart/form-data; boundary={$boundary}"],
        );
        self::assertSame(302, $joined['status']);
        self::assertStringContainsString('/seat/', $joined['location']);
        self::assertSame(1, preg_match('/"canvas":"(\w+)"/', $page['body'], $found));
        $stored = $this->ask('Aino', 'POST', "{$seat}/operations", "{\"canvas\":\"{$found[1]}\",\"operations\":[]}", [
            'Content-Type: application/json',
            'Accept: application/json',
            'Sec-Fetch-Site: same-origin',
        ]);
        self::assertSame([200, '{"accepted":[]'], [$stored['status'], substr($stored['body'], 0, 14)]);
    }

    public function test_those_that_end_are_missed_by_nobody(): void
    {
        $seat = $this->comeIn('Wren');
        $workers = $this->processes('answer', 'page');
        self::assertGreaterThan(2, count($workers));
        foreach ($workers as $worker) {
            posix_kill($worker, SIGKILL);
            self::assertSame(200, $this->ask('Wren', 'GET', $seat)['status']);
        }
        $this->until(
            fn (): bool => count($this->processes('answer', 'page')) === count($workers) &&
                array_intersect($workers, $this->processes('answer', 'page')) === [],
            'new ones',
        );
        // One that is asked to end does, and another takes its place.
        $asked = $this->processes('answer', 'page');
        array_map(static fn (int $worker): bool => posix_kill($worker, SIGTERM), $asked);
        self::assertSame(200, $this->ask('Wren', 'GET', $seat)['status']);
        $this->until(fn (): bool => array_intersect($asked, $this->processes('answer', 'page')) === [], 'them to end');
        // All of them at once, with what starts them: php-fpm answers until they are back.
        $orphans = $this->processes('answer', 'page');
        self::$crag->child('answer')->stop(signal: SIGKILL);
        foreach (range(1, 6) as $ignored) {
            self::assertSame(200, $this->ask('Wren', 'GET', $seat)['status']);
        }
        self::assertNotSame([], $this->processes('php-fpm', 'page'));
        foreach ($orphans as $orphan) {
            $stat = (string) @file_get_contents("/proc/{$orphan}/stat");
            // Ended, whether or not anybody has asked how.
            self::assertTrue($stat === '' || str_contains($stat, ') Z '), 'none is left behind');
        }
        self::$crag->startOne('answer');
        $this->until(fn (): bool => $this->processes('answer', 'page') !== [], 'them to be back');
        self::assertSame(200, $this->ask('Wren', 'GET', $seat)['status']);
    }

    private function comeIn(string $name): string
    {
        $seat = $this->visitor($name)->join($name, $this->code);
        self::assertStringContainsString('/seat/', $seat);

        return $seat;
    }

    private function visitor(string $who): Visitor
    {
        return $this->visitors[$who] ??= new Visitor(self::$crag->address());
    }

    /**
     * @param  array<string, string>|string|null  $body  a form's fields, or what is sent as it is
     * @param  list<string>  $headers
     * @return array{status: int, head: string, location: string, body: string}
     */
    private function ask(
        string $who,
        string $method,
        string $path,
        array|string|null $body = null,
        array $headers = [],
    ): array {
        return $this->visitor($who)->ask($method, $path, $body, $headers);
    }

    /** @return list<int> the workers of a pool */
    private function processes(string $part, string $pool): array
    {
        return array_values(
            array_filter(
                Child::descendants(self::$crag->child($part)->pid()),
                static fn (int $pid): bool => str_contains(
                    (string) @file_get_contents("/proc/{$pid}/cmdline"),
                    "pool {$pool}",
                ),
            ),
        );
    }

    private function until(callable $holds, string $what): void
    {
        $end = microtime(true) + 30;
        while (! $holds()) {
            self::assertLessThan($end, microtime(true), "Waited in vain for {$what}.");
            usleep(20_000);
        }
    }
}
