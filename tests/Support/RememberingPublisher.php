<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Live\Audience;
use App\Live\Publisher;

final class RememberingPublisher extends Publisher
{
    /** @var list<array{string, string}> channel and message */
    public array $messages = [];

    /** @var list<string> */
    public array $closed = [];

    /** @var array<string, int> */
    public array $listening = [];

    public function __construct()
    {
        parent::__construct('/nowhere');
    }

    public function publish(string $channel, string $message): void
    {
        $this->messages[] = [$channel, $message];
    }

    public function publishAll(array $messages): void
    {
        foreach ($messages as [$channels, $message]) {
            foreach (explode('/', $channels) as $channel) {
                $this->publish($channel, $message);
            }
        }
    }

    public function close(Audience $audience): void
    {
        array_push($this->closed, $audience->channel, ...$audience->beside);
    }

    public function listeners(string $channel): int
    {
        return $this->listening[$channel] ?? 0;
    }

    public function listenersOfAll(array $channels): array
    {
        return array_combine($channels, array_map($this->listeners(...), $channels));
    }

    /** @return list<string> what went out on a channel */
    public function on(string $channel): array
    {
        return array_values(
            array_map(
                static fn (array $sent): string => $sent[1],
                array_filter($this->messages, static fn (array $sent): bool => $sent[0] === $channel),
            ),
        );
    }
}
